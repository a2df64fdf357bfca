import { describe, expect, it } from 'vitest';
import { target, violation } from './layers.mjs';

describe('the direction of imports', () => {
  it('lets a layer import what stands below it, and itself', () => {
    expect(violation('core/plan/plan.ts', 'core/supply/rank')).toBeUndefined();
    expect(violation('routes/+page.svelte', 'core/trade/calls')).toBeUndefined();
    expect(violation('core/job/steps.ts', 'core/job/schema')).toBeUndefined();
  });

  it('refuses an import that points up, through an alias or by a relative path', () => {
    expect(violation('core/circuit/solve.ts', 'core/supply/rank')).toMatch(/stands above/);
    expect(violation('core/trade/calls.ts', 'lib/x')).toMatch(/stands above/);
    expect(target('/x/src/core/circuit/solve.ts', '../supply/rank')).toBe('core/supply/rank');
    expect(target('/x/src/core/circuit/solve.ts', '$lib/state')).toBe('lib/state');
  });

  it('refuses an import between layers that do not know each other', () => {
    expect(violation('lib/x.ts', 'cli/main')).toMatch(/do not know/);
  });

  it('leaves packages alone', () => {
    expect(target('/x/src/core/job/schema.ts', 'valibot')).toBeUndefined();
  });
});
