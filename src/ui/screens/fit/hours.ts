/** Minutes in words: whole minutes under an hour, else hours and minutes. */
export const hours = (minutes: number): string => {
  const whole = Math.round(minutes)
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}
