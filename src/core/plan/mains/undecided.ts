/** Ways of mains controls that wait for something nobody has read, told from those that are closed for good. */
import type { MainsCode, MainsFinding } from '../../findings/mains';
import type { MainsHarm } from '../../proof/mains/harms';

/** What nobody has read or written down: as long as there is such a thing, what does not run may run all the same. */
const UNREAD: ReadonlySet<MainsCode> = new Set<MainsCode>([
  'mains-boiler-input-unread',
  'mains-end-unread',
  'mains-nothing-recorded',
  'mains-screw-unread',
  'mains-spur-missing'
]);

/** What is read and nobody can explain, and a layout that is not settled. */
const RIDDLES: ReadonlySet<MainsCode> = new Set<MainsCode>([
  'mains-layout-needed',
  'mains-layout-open',
  'mains-point-alone',
  'mains-point-unexplained'
]);

/** What is missing in the record, or does not run in its circuit; what a way would harm in a circuit of which not all is read. */
const SILENCES: ReadonlySet<MainsCode> = new Set<MainsCode>([
  'mains-harm',
  'mains-no-meeting',
  'mains-no-room-thermostat',
  'mains-no-timer',
  'mains-not-proven',
  'mains-room-open',
  'mains-row-amiss',
  'mains-timer-in-line'
]);

/** What hurts because a wire is not there: of today it is not known as long as something is unread. */
const HARMS_BY_SILENCE: ReadonlySet<string> = new Set<MainsHarm>([
  'boiler-without-pump',
  'earth-not-joined',
  'neutral-switched',
  'not-fed'
]);

/** `asks`: what closes it is a question; `settled`: a fact that is known. */
export type MainsClosing = 'asks' | 'settled';

export function isUnread(questions: readonly MainsFinding[]): boolean {
  return questions.some(({ level, code }) => level === 'stop' && UNREAD.has(code));
}

/** What is wrong today, as far as it is known: what does not run is not, as long as something is unread. */
export function knownToday(
  today: readonly MainsFinding[],
  questions: readonly MainsFinding[]
): readonly MainsFinding[] {
  if (!isUnread(questions)) return today;
  return today.filter((said) =>
    said.code === 'mains-harm' ? !HARMS_BY_SILENCE.has(said.params.harm) : !SILENCES.has(said.code)
  );
}

/** What closes a way with these findings; `questions`: those of the whole record. */
export function mainsClosing(
  findings: readonly MainsFinding[],
  questions: readonly MainsFinding[]
): MainsClosing {
  const unread = isUnread(questions);
  const mayChange = ({ code }: MainsFinding) =>
    UNREAD.has(code) || RIDDLES.has(code) || (unread && SILENCES.has(code));
  return findings.filter(({ level }) => level === 'stop').every(mayChange) ? 'asks' : 'settled';
}

/** The stops that say what has to be looked at. */
export function mainsWaiting(questions: readonly MainsFinding[]): readonly MainsFinding[] {
  return questions.filter(({ level, code }) => level === 'stop' && (UNREAD.has(code) || RIDDLES.has(code)));
}
