/** `today 14:05`, or day and time. */
export function timeText(iso: string, now: Date = new Date()): string {
  const date = new Date(iso);
  if (Number.isNaN(date.getTime())) return 'at no time that is one';
  const time = new Intl.DateTimeFormat(undefined, { timeStyle: 'short' }).format(date);
  if (date.toDateString() === now.toDateString()) return `today ${time}`;
  return `${new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' }).format(date)} ${time}`;
}

export const CUTS = {
  both: 'breaker and switch',
  breaker: 'at the breaker',
  'service-switch': 'at the service switch',
  disconnect: 'at the disconnect box',
  plug: 'plug pulled',
  cannot: 'it cannot be switched off'
} as const;

export const PROOFS = {
  none: 'not proven yet',
  'ran-and-stopped': 'it was running and stopped',
  meter: 'a meter reads nothing',
  both: 'it stopped, and a meter reads nothing',
  'display-dark': 'the display went dark'
} as const;
