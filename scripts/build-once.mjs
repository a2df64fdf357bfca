/** Builds the server if its build is missing or stale. */
import { ensureBuild } from './serve.mjs';

ensureBuild();
