/** Words of the survey. */
/** Hours as a person says them: `40 minutes`, `3 hours`, `2 days`; `more than 4 days` for what never comes. */
export function hoursText(hours: number): string {
  if (hours === Infinity) return 'more than 4 days';
  if (hours < 1) return `${Math.round(hours * 60)} minutes`;
  if (hours < 48) return `${hours < 10 ? hours.toFixed(1).replace('.0', '') : Math.round(hours)} hours`;
  return `${(hours / 24).toFixed(1).replace('.0', '')} days`;
}

export const YES_NO = [
  ['unknown', 'not known'],
  ['yes', 'yes'],
  ['no', 'no']
] as const;
