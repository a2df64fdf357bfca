/** Type check: pages, library, core, tests, command line and configuration files. */
import { bin, ensureDependencies, ensureGenerated, run } from './set-up.mjs';

ensureDependencies();
ensureGenerated();
run(bin('svelte-check'), ['--tsconfig', './tsconfig.json', '--fail-on-warnings', '--output', 'human']);
