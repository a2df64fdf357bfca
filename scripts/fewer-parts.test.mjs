import { describe, expect, it } from 'vitest';
import { fewerParts } from './fewer-parts.mjs';

const PAGES = '/app/src/routes';
/** Who imports what: a layout for all, the first page, a layout for jobs and one of its pages. */
const IMPORTS = {
  [`${PAGES}/+layout.svelte`]: ['/lib/theme.js'],
  [`${PAGES}/+page.svelte`]: ['/lib/store.js'],
  [`${PAGES}/job/[job]/[thermostat]/+layout.svelte`]: ['/lib/store.js', '/lib/planner.js', '/lib/theme.js'],
  [`${PAGES}/job/[job]/[thermostat]/sheet/+page.svelte`]: ['/lib/sheet.js'],
  '/lib/theme.js': ['/lib/planner-less.js'],
  // Two that import each other: the way through them ends.
  '/lib/planner-less.js': ['/lib/theme.js'],
  '/lib/store.js': [],
  '/lib/planner.js': [],
  '/lib/sheet.js': []
};

/** The file that a module is put into, by the group of the highest priority that wants it. */
function groupOf(id) {
  const plugin = fewerParts();
  plugin.buildEnd.call({ getModuleIds: () => Object.keys(IMPORTS) });
  const { groups } = plugin.config().environments.client.build.rolldownOptions.output.codeSplitting;
  const context = { getModuleInfo: (module) => ({ importedIds: IMPORTS[module] ?? [] }) };
  const names = [...groups].sort((a, b) => b.priority - a.priority).map(({ name }) => name(id, context));
  return names.find((name) => name !== null) ?? null;
}

describe('the files that modules come in', () => {
  it.each([
    ['/lib/theme.js', 'every-page'],
    ['/lib/planner-less.js', 'every-page'],
    ['/lib/store.js', 'shared'],
    ['/lib/planner.js', 'job'],
    // What one page alone loads stays with it.
    ['/lib/sheet.js', null]
  ])('%s: %s', (id, group) => expect(groupOf(id)).toBe(group));

  it('are made for the browser alone', () => {
    const { applyToEnvironment } = fewerParts();
    expect([{ name: 'client' }, { name: 'ssr' }].map(applyToEnvironment)).toEqual([true, false]);
  });
});
