/**
 * Which modules come to the browser in one file. Left to itself the bundler makes a file for each set of pages that share a module: over a
 * hundred requests for one station, each compressed by itself. What every page loads is one file, and what every page of a job loads beyond
 * that is another. The first page gets no byte of it that it did not load before; the quick look gets more than it needs, and has it then.
 */

/** Pages that somebody may read who never makes a job, by the end of their modules' ids. */
const LIGHT = /\/src\/routes\/((words|shell)\/)?\+page\.svelte$|\/src\/routes\/\+error\.svelte$/;
const EVERYWHERE =
  /\/src\/routes\/\+layout\.svelte$|\/client-optimized\/app\.js$|\/kit\/src\/runtime\/client\/entry\.js$/;
const JOB_LAYOUT = /\/src\/routes\/job\/\[job\]\/(\[thermostat\]\/)?\+layout\.svelte$/;

/** Ids of modules, by where they are loaded. */
function sortedModules(ids, moduleOf) {
  const reach = (shape) => {
    const reached = new Set();
    const open = ids.filter((id) => shape.test(id));
    for (let id = open.pop(); id !== undefined; id = open.pop()) {
      if (reached.has(id)) continue;
      reached.add(id);
      open.push(...(moduleOf(id)?.importedIds ?? []));
    }
    return reached;
  };
  return { everywhere: reach(EVERYWHERE), light: reach(LIGHT), job: reach(JOB_LAYOUT) };
}

/** @returns {import('vite').Plugin} */
export function fewerParts() {
  let ids = [];
  let sorted = null;
  const inGroup = (group) => (id, context) => {
    sorted ??= sortedModules(ids, (id) => context.getModuleInfo(id));
    return group(sorted, id);
  };
  const groups = [
    {
      priority: 3,
      debugName: 'every-page',
      name: inGroup(({ everywhere }, id) => (everywhere.has(id) ? 'every-page' : null))
    },
    {
      priority: 2,
      debugName: 'shared',
      entriesAware: true,
      name: inGroup(({ light, job }, id) => (light.has(id) && job.has(id) ? 'shared' : null))
    },
    { priority: 1, debugName: 'job', name: inGroup(({ job }, id) => (job.has(id) ? 'job' : null)) }
  ];
  return {
    name: 'fewer-parts',
    applyToEnvironment: ({ name }) => name === 'client',
    config: () => ({
      environments: { client: { build: { rolldownOptions: { output: { codeSplitting: { groups } } } } } }
    }),
    buildEnd() {
      ids = [...this.getModuleIds()];
      sorted = null;
    }
  };
}
