import { it } from 'vitest';
import { house } from './houses/builder';
import { planFor } from './plan/plan';
import { findingText } from './words/findings/table';
import { findDevice } from './match/catalogue';
const show = (name: string, sketch: any, dev = 'de-fellgate') => {
  const { job, thermostat } = house(sketch);
  const plan = planFor(job, thermostat, { device: findDevice(job, dev as any)! });
  console.log(
    '=====',
    name,
    plan.identification.family,
    plan.identification.probability.toFixed(2),
    'rec',
    plan.recommended
  );
  for (const o of plan.options.slice(0, 4))
    console.log(
      '  ',
      o.method,
      o.verdict,
      o.loses.map((l) => JSON.stringify(l)).join(';'),
      '\n      ',
      o.findings
        .filter((f) => f.level !== 'note')
        .map((f) => f.level + ' ' + f.code + ': ' + findingText(f))
        .join('\n       ')
    );
  for (const m of plan.moves) console.log('      -', m.text);
};
it('x', () => {
  show('Y on Y2', {
    strands: ['RD R R', 'WH W W', 'YE Y Y2', 'GN G G', 'BU C C'],
    board: ['R', 'C', 'W', 'Y', 'Y2', 'G'],
    observed: { 'conductor-build': 'thin' },
    stated: 'furnace-ac'
  });
  show('unknown', {
    strands: ['RD R R', 'WH W QX', 'YE Y Y', 'GN G G', 'BU C C'],
    board: ['R', 'C', 'QX', 'Y', 'G'],
    observed: { 'conductor-build': 'thin' },
    stated: 'furnace-ac'
  });
  show('third', {
    strands: ['RD R R', 'WH W W', 'YE Y Y', 'BU C C'],
    board: ['R', 'W', 'Y', 'C'],
    observed: { 'conductor-build': 'thin' },
    stated: 'boiler'
  });
  show('B both', {
    strands: ['RD R R', 'WH W W', 'BU B B'],
    board: ['R', 'W', 'B'],
    observed: { 'conductor-build': 'thin' },
    stated: 'furnace'
  });
});
