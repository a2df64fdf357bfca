import { test } from 'vitest';
import { MAINS_SKETCHES, mainsHouse, type MainsHouse } from './core/houses/mains-houses';
import { planMains } from './core/plan/mains/plan';
import { mainsText } from './core/words/mains-findings';
import { applyChange } from './core/wiring/difference';
import { sortedWiring } from './core/wiring/graph';
test('x', () => {
  for (const name of Object.keys(MAINS_SKETCHES) as MainsHouse[]) {
    const m = mainsHouse(name);
    const t = performance.now();
    const plan = planMains(m);
    console.log(
      '=====',
      name,
      plan.identification.layout,
      plan.controller?.id,
      (performance.now() - t).toFixed(0),
      plan.today.map(mainsText)
    );
    for (const w of plan.ways) {
      console.log(
        '  ',
        w.method,
        w.variant.id,
        w.verdict,
        w.moves.length,
        w.effort.minutes.join('/'),
        w.findings.filter((f) => f.level === 'stop').map(mainsText)
      );
      let x = plan.now.wiring;
      for (const mv of w.moves) if (mv.change) x = applyChange(x, mv.change);
      if (JSON.stringify(sortedWiring(x)) !== JSON.stringify(sortedWiring(w.after)))
        console.log('   MOVES DIFFER');
    }
    if (name === 'mid-position')
      for (const mv of plan.taken!.moves) console.log('      ', mv.end, mv.action, mv.text);
    if (name === 'grey-not-driven')
      for (const f of plan.taken!.findings) console.log('      ', f.level, mainsText(f));
  }
});
