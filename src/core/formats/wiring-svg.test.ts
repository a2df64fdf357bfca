import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { planFor } from '../plan/plan';
import { wiringSvg } from './wiring-svg';

const classroom = SCHOOLHOUSE.thermostats.find((thermostat) => thermostat.id === 'th-classroom')!;
const plan = planFor(SCHOOLHOUSE, classroom);

describe('a wiring on paper', () => {
  const svg = wiringSvg(plan.wiringAfter!, 'After <& “quoted”', plan.wiringBefore);

  it('names every insulation in letters and every end by its mark', () => {
    for (const code of ['WH', 'RD', 'BU', 'YE', 'GN']) expect(svg).toContain(`>${code}  `);
    expect(svg.match(/>C<\/text>/g)).toHaveLength(2);
    expect(svg).toContain(
      'Jumper at the wall: RH of the Tarnwick Fellgate 4 to RC of the Tarnwick Fellgate 4'
    );
  });

  it('sets what moved white on black, and nothing else', () => {
    // The spare at both ends, and the hot conductor from RH to RC at the wall.
    expect(svg.match(/fill="#000" stroke/g)).toHaveLength(3);
    expect(wiringSvg(plan.wiringBefore, 'Before')).not.toContain('fill="#000" stroke');
  });

  it('keeps a title with signs of its own whole', () => {
    expect(svg).toContain('After &#60;&#38; “quoted”');
    expect(svg.startsWith('<svg ')).toBe(true);
    expect(svg.endsWith('</svg>')).toBe(true);
  });
});
