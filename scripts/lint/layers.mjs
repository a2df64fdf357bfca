/**
 * ESLint rule: imports point down the list of layers only (docs/architecture.md).
 * A file may import from its own layer and from those that stand after it in the list.
 */
import { dirname, resolve } from 'node:path';

/** Highest first. Each is a folder below `src/`. */
export const order = [
  'routes',
  'lib',
  'storage',
  'cli',
  'worker',
  'demo',
  'core/scenarios',
  'core/houses',
  'core/formats',
  'core/handover',
  'core/session',
  'core/diagnose',
  'core/plan',
  'core/supply',
  'core/proof',
  'core/facts',
  'core/match',
  'core/questions',
  'core/survey',
  'core/safety',
  'core/identify',
  'core/house',
  'core/explain',
  'core/circuit',
  'core/devices',
  'core/wiring',
  'core/reading',
  'core/job',
  'core/words',
  'core/findings',
  'core/belief',
  'core/trade'
];

/** Layers that stand beside each other: neither may import the other, though both stand in one list. */
const strangers = { routes: ['cli'], lib: ['cli'], worker: ['demo'], storage: ['cli', 'worker', 'demo'] };

const aliases = { $core: 'core', $storage: 'storage', $demo: 'demo', $lib: 'lib', $worker: 'worker' };

/** The layer that a path below `src/` belongs to, or undefined. */
export function layerOf(path) {
  return order.find((layer) => path === layer || path.startsWith(`${layer}/`));
}

/** Why `from` may not import `to` (both paths below `src/`), or undefined when it may. */
export function violation(from, to) {
  const own = layerOf(from);
  const other = layerOf(to);
  if (!own || !other || own === other) return undefined;
  if (order.indexOf(other) < order.indexOf(own))
    return `${own} may not import from ${other}, which stands above it.`;
  if (strangers[own]?.includes(other)) return `${own} and ${other} do not know each other.`;
  return undefined;
}

/** The path below `src/` that an import means, or undefined for packages. */
export function target(file, specifier) {
  const [head, ...rest] = specifier.split('/');
  if (aliases[head]) return [aliases[head], ...rest].join('/');
  if (!specifier.startsWith('.')) return undefined;
  const path = resolve(dirname(file), specifier).split('/src/');
  return path.length > 1 ? path.slice(1).join('/src/') : undefined;
}

export const layers = {
  meta: { type: 'problem', schema: [], docs: { description: 'imports point down the list of layers only' } },
  create(context) {
    const own = context.filename.split('/src/').slice(1).join('/src/');
    if (!own) return {};
    const look = (node) => {
      if (typeof node.source?.value !== 'string') return;
      const to = target(context.filename, node.source.value);
      const why = to && violation(own, to);
      if (why) context.report({ node, message: why });
    };
    return {
      ImportDeclaration: look,
      ImportExpression: look,
      ExportNamedDeclaration: look,
      ExportAllDeclaration: look
    };
  }
};
