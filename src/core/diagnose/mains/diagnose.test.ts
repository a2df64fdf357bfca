import { describe, expect, it } from 'vitest';
import { mainsHouse } from '../../houses/mains-houses';
import { planMains } from '../../plan/mains/plan';
import { inputsOf } from '../../proof/mains/rows';
import { wiringFromMains } from '../../wiring/from-mains';
import type { Wiring } from '../../wiring/graph';
import { causesIn, MAINS_CAUSE_KINDS, TOUCHED_TIMES } from './causes';
import { diagnoseMains, MAINS_SETTLED, type MainsDiagnosis } from './diagnose';
import { looksIn, readMainsSeen, shownIn } from './looks';
import { TRIED_STILL, triedId } from '../tried-code';

const after = (controller: string, house: Parameters<typeof mainsHouse>[0] = 'mid-position'): Wiring => {
  const plan = planMains(mainsHouse(house), { controller, method: 'replace-both' });
  if (!plan.taken) throw new Error('No way');
  return plan.taken.after;
};

/** Somebody who sees without error what a wiring with this cause shows, asked one look after the other. */
function playOut(
  wiring: Wiring,
  causeId: string,
  competent: boolean
): { found: MainsDiagnosis; looks: string[] } {
  const inputs = inputsOf(wiringFromMains(mainsHouse('mid-position')));
  const cause = causesIn(wiring).find(({ id }) => id === causeId);
  if (!cause?.wiring) throw new Error(`No cause ${causeId}`);
  const shown = shownIn(cause.wiring, inputs, looksIn(cause.wiring, inputs));
  const seen: Record<string, string> = {};
  let found = diagnoseMains({ wiring, inputs, seen, competent });
  const looks: string[] = [];
  while (found.next && looks.length < 20) {
    const { id, openCover } = found.next.look;
    looks.push(`${openCover ? 'open ' : ''}${id}`);
    seen[id] = shown.get(id) ?? 'no';
    found = diagnoseMains({ wiring, inputs, seen, competent });
  }
  return { found, looks };
}

describe('finding out why', () => {
  const wiring = after('ct-oskerry-twin');

  it('knows every kind of mistake that the work can make', () => {
    const kinds = new Set([
      ...causesIn(wiring).map(({ kind }) => kind),
      ...causesIn(wiringFromMains(mainsHouse('two-valve'))).map(({ kind }) => kind)
    ]);
    expect(MAINS_CAUSE_KINDS.filter((kind) => !kinds.has(kind))).toEqual([]);
  });

  it.each([
    ['the link where the room thermostat stood', (id: string) => id.startsWith('no-link-md-strip-4')],
    ['a link from live to a common', (id: string) => id.startsWith('no-link-controller')],
    ['the grey wire of the valve', (id: string) => id.startsWith('off-') && greys.has(id.slice(4))],
    ['a link to a screw that is no common', (id: string) => id.startsWith('extra-')],
    ['the supply', (id: string) => id.startsWith('supply-off')]
  ])('names %s among the likeliest, with the covers on', (_, is) => {
    const cause = causesIn(wiring).find(({ id }) => is(id));
    const { found, looks } = playOut(wiring, cause?.id ?? '', false);
    const likely = found.causes.slice(0, 3).flatMap(({ causes }) => causes.map(({ id }) => id));
    expect(likely).toContain(cause?.id);
    expect(looks.filter((look) => look.startsWith('open'))).toEqual([]);
  });
  const greys = new Set(
    wiring.strands
      .filter(({ near }) => near.state === 'landed' && near.terminal === 'md-valve.GREY')
      .map(({ id }) => id)
  );

  it('lets only somebody competent put a tester on the strip, and tells more apart then', () => {
    const cause = causesIn(wiring).find(({ id }) => id.startsWith('off-') && greys.has(id.slice(4)));
    const groupOf = (competent: boolean) =>
      playOut(wiring, cause?.id ?? '', competent).found.causes.find(({ causes }) =>
        causes.some(({ id }) => id === cause?.id)
      )?.causes.length ?? 0;
    expect(groupOf(true)).toBeLessThanOrEqual(groupOf(false));
  });

  it('counts what the work touched several times', () => {
    const [untouched] = causesIn(wiring).filter(({ kind }) => kind === 'link-missing');
    const touched = causesIn(wiring, new Set(untouched?.at)).find(({ id }) => id === untouched?.id);
    expect(touched?.odds).toBeCloseTo((untouched?.odds ?? 0) * TOUCHED_TIMES, 9);
  });

  it('says that sound wiring would show the same, where it would', () => {
    const inputs = inputsOf(wiringFromMains(mainsHouse('mid-position')));
    const shown = shownIn(wiring, inputs, looksIn(wiring, inputs));
    const seen = Object.fromEntries([...shown].slice(0, 4));
    expect(diagnoseMains({ wiring, inputs, seen, competent: false }).sound).toBe(true);
    const [first, ...rest] = Object.entries(seen);
    const wrong = { ...Object.fromEntries(rest), [first?.[0] ?? '']: first?.[1] === 'yes' ? 'no' : 'yes' };
    expect(diagnoseMains({ wiring, inputs, seen: wrong, competent: false }).sound).toBe(false);
  });

  it('goes on where a remedy changed nothing: that cause is out by name, and what was seen stays', () => {
    const inputs = inputsOf(wiringFromMains(mainsHouse('mid-position')));
    const cause = causesIn(wiring).find(({ kind }) => kind === 'supply-off')!;
    const shown = shownIn(cause.wiring!, inputs, looksIn(wiring, inputs));
    const seen: Record<string, string> = {};
    let found = diagnoseMains({ wiring, inputs, seen, competent: false });
    for (; found.next; found = diagnoseMains({ wiring, inputs, seen, competent: false }))
      seen[found.next.look.id] = shown.get(found.next.look.id) ?? 'no';
    const first = found.causes[0]!.causes[0]!;
    const read = readMainsSeen(wiring, inputs, [`${triedId(first.id)}=${TRIED_STILL}`]);
    expect(read).toEqual({ seen: { [triedId(first.id)]: TRIED_STILL } });
    const tried = diagnoseMains({
      wiring,
      inputs,
      seen: { ...seen, [triedId(first.id)]: TRIED_STILL },
      competent: false
    });
    expect(tried.tried.map(({ id }) => id)).toEqual([first.id]);
    expect(tried.causes.flatMap(({ causes }) => causes.map(({ id }) => id))).not.toContain(first.id);
    expect(tried.causes.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9);
    // Where the house goes on from: a look, or another cause that is likely enough.
    expect(tried.next !== null || tried.settled !== null).toBe(true);
    // What is no cause, or has no remedy, cannot be put right.
    for (const code of ['tried-nothing=still', 'tried-something-else=still', `${triedId(first.id)}=gone`])
      expect(readMainsSeen(wiring, inputs, [code])).toEqual({ unknown: code, at: 0 });
  });

  it('stops asking once one cause is likely enough, and not before', () => {
    const cause = causesIn(wiring).find(({ kind }) => kind === 'supply-off');
    const { found, looks } = playOut(wiring, cause?.id ?? '', true);
    expect(found.causes[0]?.causes[0]?.id).toBe(cause?.id);
    expect(found.causes[0]?.probability).toBeGreaterThan(MAINS_SETTLED);
    expect(found.next).toBeNull();
    expect(looks.length).toBeGreaterThan(1);
  });
});
