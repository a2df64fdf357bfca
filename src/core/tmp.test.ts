import { it } from 'vitest';
import { house } from './houses/builder';
import { planFor } from './plan/plan';
import { findingText } from './words/findings/table';
import { lossText } from './words/losses';
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
    plan.recommended,
    plan.options.map((o) => o.method + ':' + o.verdict).join(' ')
  );
  console.log(' today', plan.today.map((f) => findingText(f)).join('\n       '));
  for (const o of plan.options
    .slice(0, 2)
    .concat(plan.options.filter((o) => o.method === 'none' || o.method === 'plug-in-transformer')))
    console.log(
      '  ',
      o.method,
      o.variant?.id,
      o.verdict,
      o.loses.map((l) => lossText(l)).join(';'),
      '\n      ',
      o.findings.map((f) => f.level + ' ' + f.code + ': ' + findingText(f)).join('\n       ')
    );
  for (const m of plan.moves) console.log('      -', m.text);
};
const o = { 'conductor-build': 'thin' };
it('x', () => {
  show('loose Y', {
    strands: ['RD R R', 'WH W W', 'YE Y loose', 'GN G G', 'BU C C'],
    board: ['R', 'C', 'W', 'Y', 'G'],
    observed: { ...o, 'outdoor-unit': 'rests' },
    stated: 'furnace-ac'
  });
  show('swapped W G proven', {
    strands: ['RD R R', 'WH W G', 'GN G W', 'BU C C'],
    board: ['R', 'C', 'W', 'G'],
    observed: o,
    stated: 'furnace'
  });
  show('swapped W G untested', {
    strands: ['RD R R', 'WH W G', 'GN G W', 'BU C C'],
    board: ['R', 'C', 'W', 'G'],
    observed: o,
    stated: 'furnace',
    continuity: 'untested'
  });
  show('fan given away', {
    strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN C C'],
    board: ['R', 'C', 'W', 'Y', 'G'],
    observed: o,
    stated: 'furnace-ac'
  });
  show('link left', {
    strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'],
    board: ['R', 'C', 'W', 'Y', 'G'],
    links: ['equipment Y G'],
    observed: o,
    stated: 'furnace-ac'
  });
  show('broken', {
    strands: ['RD R R', 'WH W W', 'BU coiled coiled', 'BK C C'],
    board: ['R', 'C', 'W'],
    observed: o,
    stated: 'furnace'
  });
  show('plug', {
    strands: ['RD RH R', 'WH W W', 'BU C C', 'RD RC R@plug', 'BK C C@plug'],
    board: ['R', 'C', 'W'],
    observed: o,
    stated: 'furnace'
  });
  show('tied', {
    strands: ['RD RH R', 'WH W W', 'RD RC R@2', 'YE Y Y@2', 'GN G G@2', 'BU C C@2'],
    board: ['R', 'C', 'W'],
    further: [{ name: 'air handler', marks: ['R', 'C', 'Y', 'G'] }],
    links: ['wall RH RC'],
    observed: o,
    stated: 'boiler-plus-ac'
  });
});
