import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FoundEnd, TraceFinding } from '../job/reading-schema';
import { screwsFrom } from '../job/screws';
import { makeId } from '../job/ids';
import { planFor } from '../plan/plan';
import { house } from '../houses/builder';
import { furnaceWithSpare } from '../houses/houses';
import { COLOUR_CODES, COLOURS } from '../trade/colours';
import { correctLight, nameColour, type Rgb } from './colour-name';
import { proposeEnds, unmatchedFindings } from './match-ends';
import { traceOf } from './trace-common';

const white: Rgb = [240, 240, 240];
const rgbOf = (hex: string): Rgb =>
  [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as unknown as Rgb;

describe('the name of a colour', () => {
  it('is right for the colours as the sheet draws them, under even light', () => {
    for (const code of COLOUR_CODES) {
      const guess = nameColour(rgbOf(COLOURS[code].hex), white);
      expect(guess.best, code).toBe(code);
      expect(guess.distance).toBeLessThan(guess.runnerUpDistance);
    }
  });

  it('survives warm and dim light once something white was touched, and not without', () => {
    const inLight = (rgb: Rgb, [r, g, b]: Rgb): Rgb => [rgb[0] * r, rgb[1] * g, rgb[2] * b];
    const lamp: Rgb = [0.85, 0.62, 0.36];
    const wrong = COLOUR_CODES.filter((code) => {
      const spot = inLight(rgbOf(COLOURS[code].hex), lamp);
      return nameColour(spot, inLight(white, lamp)).best !== code;
    });
    expect(wrong.length).toBeLessThanOrEqual(2);
    const blue = inLight(rgbOf(COLOURS.WH.hex), lamp);
    expect(nameColour(blue).best).not.toBe('WH');
    expect(nameColour(blue, inLight(white, lamp)).best).toBe('WH');
  });

  it('is never called sure while the light is not corrected, and says why', () => {
    fc.assert(
      fc.property(fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255)), (rgb) => {
        const guess = nameColour(rgb as unknown as Rgb);
        expect(guess.sure).not.toBe('sure');
        expect(guess.why).toContain('white');
        expect(guess.best).not.toBe(guess.runnerUp);
      })
    );
  });

  it('leaves white white', () => {
    expect(correctLight([200, 150, 90], [200, 150, 90]).map(Math.round)).toEqual([240, 240, 240]);
  });
});

const foundBlue: FoundEnd = {
  id: makeId('foundEnd', '1'),
  cable: makeId('cable', '1'),
  colour: 'BU',
  stripe: null,
  state: 'landed',
  on: { at: makeId('equipment', '1'), screw: makeId('screw', 'c') },
  not: []
};
const atWall = (strands: string[], ends: FoundEnd[] = [foundBlue]) => ({
  ...house({ strands }).thermostat,
  foundEnds: ends
});

describe('an end found at the equipment', () => {
  it('is proposed for the one wire of its cable and colour', () => {
    const [proposal] = proposeEnds(atWall(['RD R unseen', 'BU C unseen']));
    expect(proposal?.kind).toBe('one');
    expect(proposal?.candidates[0]?.id).toBe('co-2');
    expect(proposal?.text).toContain('on C at the wall');
  });

  it('is left to a continuity check where two of the colour remain', () => {
    const [proposal] = proposeEnds(atWall(['BU C unseen', 'BU coiled unseen']));
    expect(proposal?.kind).toBe('several');
    expect(proposal?.text).toContain('continuity');
  });

  it('goes to nobody who was ruled out, whose end is known, or who hangs in another cable', () => {
    const ruledOut = { ...foundBlue, not: [makeId('conductor', '1')] };
    expect(proposeEnds(atWall(['BU C unseen'], [ruledOut]))[0]?.kind).toBe('none');
    expect(proposeEnds(atWall(['BU C C']))[0]?.kind).toBe('none');
    const elsewhere = { ...foundBlue, cable: makeId('cable', '9') };
    expect(proposeEnds(atWall(['BU C unseen'], [elsewhere]))[0]?.kind).toBe('none');
  });

  it('follows the colour beyond a splice', () => {
    const thermostat = atWall(['BN C unseen']);
    const [only] = thermostat.conductors;
    const spliced = {
      ...only!,
      splices: [{ id: makeId('splice', '1'), colourBeyond: 'BU' as const, seen: true, place: '' }]
    };
    expect(proposeEnds({ ...thermostat, conductors: [spliced] })[0]?.kind).toBe('one');
  });

  it('keeps the record open until somebody confirms', () => {
    expect(unmatchedFindings(atWall(['BU C unseen'])).map((finding) => finding.code)).toEqual([
      'ends-not-matched'
    ]);
    expect(unmatchedFindings(atWall(['BU C unseen'], []))).toEqual([]);
  });
});

describe('a board with no C mark', () => {
  const found = (way: TraceFinding['way'], spot: string): TraceFinding => ({
    way,
    spot,
    at: '2026-01-01T10:00:00.000Z',
    note: ''
  });
  const unmarked = (trace: TraceFinding[]) => {
    const base = furnaceWithSpare();
    const machine = { ...base.job.equipment[0]!, screws: screwsFrom(['R', 'W', 'Y', 'G']), trace };
    return { machine, plan: planFor({ ...base.job, equipment: [machine] }, base.thermostat) };
  };
  const spare = (trace: TraceFinding[]) =>
    unmarked(trace).plan.options.find((option) => option.method === 'spare-conductor');

  it('lets nothing be landed before two findings of different ways agree', () => {
    expect(traceOf(unmarked([]).machine).state).toBe('none');
    expect(spare([])?.verdict).toBe('no');
    expect(spare([found('followed', 'left lug')])?.verdict).toBe('no');
    expect(spare([found('followed', 'left lug'), found('followed', 'left lug')])?.verdict).toBe('no');
    const agreed = [found('followed', 'left lug'), found('diagram', 'left  lug')];
    expect(traceOf(unmarked(agreed).machine)).toMatchObject({ state: 'agreed', spot: 'left lug' });
    expect(spare(agreed)?.verdict).not.toBe('no');
  });

  it('names the traced spot in the moves', () => {
    const { plan } = unmarked([found('followed', 'left lug'), found('diagram', 'left lug')]);
    expect(plan.moves.map((move) => move.text).join(' ')).toContain('left lug');
  });

  it('stops where two findings disagree', () => {
    const disagree = [found('followed', 'left lug'), found('diagram', 'right lug')];
    expect(traceOf(unmarked(disagree).machine).findings[0]).toMatchObject({
      level: 'stop',
      code: 'common-traces-disagree'
    });
    expect(unmarked(disagree).plan.moves).toEqual([]);
  });
});

describe('wires under a screw that are not the thermostat’s', () => {
  it('are marked to be left in the move that opens the screw', () => {
    const base = furnaceWithSpare();
    const machine = {
      ...base.job.equipment[0]!,
      others: [{ screw: makeId('screw', 'c'), what: 'outdoor unit', kind: 'outdoor-unit' as const }]
    };
    const plan = planFor({ ...base.job, equipment: [machine] }, base.thermostat);
    const land = plan.moves.find((move) => move.action === 'land' && move.end === 'equipment');
    expect(land?.text).toContain('leave the outdoor unit');
  });
});
