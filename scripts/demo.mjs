/** `npm run demo`: builds, serves, prints the address that opens on the demo house. */
import { startTrouble } from './server-entry.mjs';
import { ensureBuild, freePort, startServer } from './serve.mjs';

const wished = process.env.PORT ?? '4173';
const trouble = startTrouble({ PORT: wished }, process.versions.node);
if (trouble) {
  console.error(trouble);
  process.exit(1);
}
ensureBuild();
const { origin, server } = await startServer(await freePort(Number(wished)));
console.log(`\n  Ulterum is open at  ${origin}/demo\n\n  Ctrl+C ends it.\n`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill());
server.on('exit', (code) => process.exit(code ?? 0));
