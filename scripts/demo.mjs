/** `npm run demo`: builds, serves, prints the address that opens on the demo house. */
import { ensureBuild, freePort, startServer } from './serve.mjs';

ensureBuild();
const { origin, server } = await startServer(await freePort(Number(process.env.PORT ?? 4173)));
console.log(`\n  Ulterum is open at  ${origin}/demo\n\n  Ctrl+C ends it.\n`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill());
server.on('exit', (code) => process.exit(code ?? 0));
