/** The time of the clock on the wall as ISO text: what a day and an hour of the weather are looked up by. `ms` since 1970. */
export function localIso(ms: number): string {
  return new Date(ms - new Date(ms).getTimezoneOffset() * 60_000).toISOString();
}
