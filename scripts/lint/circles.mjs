/** Circles of imports below `src/`: a file that, by way of others, imports itself cannot be read or moved by itself. */
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';

const ALIASES = { $core: 'core', $storage: 'storage', $demo: 'demo', $lib: 'lib', $worker: 'worker' };

/** All files of ours below a folder. */
function filesBelow(folder) {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return filesBelow(path);
    return /\.(ts|svelte)$/.test(name) && !/\.(test|d)\.ts$/.test(name) ? [path] : [];
  });
}

/** The file that an import names, or null where it is a package or something generated. */
function fileOf(from, specifier, src) {
  const [first, ...rest] = specifier.split('/');
  const alias = ALIASES[first];
  if (!specifier.startsWith('.') && alias === undefined) return null;
  const base = alias === undefined ? resolve(dirname(from), specifier) : resolve(src, alias, ...rest);
  return (
    [
      base,
      `${base}.ts`,
      base.replace(/\.svelte$/, '.svelte.ts'),
      `${base}.svelte`,
      join(base, 'index.ts')
    ].find((path) => existsSync(path) && statSync(path).isFile()) ?? null
  );
}

/** Imports and re-exports of each file, by path. */
function graphOf(src) {
  const graph = new Map();
  for (const file of filesBelow(src)) {
    const text = readFileSync(file, 'utf8');
    const named = [...text.matchAll(/^\s*(?:import|export|\})[^'"\n]*from '([^']+)'/gm)].map(
      (match) => match[1]
    );
    const found = named.map((specifier) => fileOf(file, specifier, src)).filter((path) => path !== null);
    graph.set(
      file,
      [...new Set(found)].filter((path) => path !== file)
    );
  }
  return graph;
}

/** Each circle once, as the files on it. `src` is the folder to look below. */
export function circles(src) {
  const graph = graphOf(resolve(src));
  const state = new Map();
  const path = [];
  const found = [];
  const visit = (file) => {
    state.set(file, 'open');
    path.push(file);
    for (const next of graph.get(file) ?? []) {
      if (state.get(next) === 'open') found.push([...path.slice(path.indexOf(next)), next]);
      else if (!state.has(next)) visit(next);
    }
    path.pop();
    state.set(file, 'done');
  };
  for (const file of graph.keys()) if (!state.has(file)) visit(file);
  return found;
}
