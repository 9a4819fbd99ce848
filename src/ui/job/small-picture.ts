/** No side of a kept picture is longer: enough to see a scratch, small enough for a backup. px. */
const LONGEST_PX = 1280
const QUALITY = 0.7

/** A picture from a file, made small, as the text of a JPEG; nothing where the browser cannot read it. */
export async function smallPicture(file: Blob): Promise<string | undefined> {
  try {
    const whole = await createImageBitmap(file)
    const scale = Math.min(1, LONGEST_PX / Math.max(whole.width, whole.height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(whole.width * scale))
    canvas.height = Math.max(1, Math.round(whole.height * scale))
    canvas.getContext('2d')?.drawImage(whole, 0, 0, canvas.width, canvas.height)
    whole.close()
    return canvas.toDataURL('image/jpeg', QUALITY)
  } catch {
    return undefined
  }
}
