/** Runs one of the project's tools after making sure that it is installed: `node scripts/run.mjs vitest run`. */
import { bin, ensureDependencies, ensureGenerated, run } from './set-up.mjs';

const [tool, ...args] = process.argv.slice(2);
ensureDependencies();
ensureGenerated();
run(bin(tool), args);
