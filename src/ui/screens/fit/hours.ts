/** Minutes in words: whole minutes under an hour, else hours and minutes. */
export const hours = (minutes: number): string => {
  const whole = Math.round(minutes)
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}

/** How long a step takes, from the quickest to the slowest. */
export const minutesText = ({ from, to }: { readonly from: number; readonly to: number }): string =>
  hours(from) === hours(to) ? hours(from) : `${hours(from)} to ${hours(to)}`
