/**
 * The first thing that `node build` runs: the build puts this file before the server's own entry. The limits of the server are the same
 * however it is started, and what is wrong with how it was started is said in a sentence.
 */
const NODE_NEEDED = [20, 19];

/** What is wrong with the environment, in a sentence; null where nothing is. `version` as `process.versions.node`. */
export function startTrouble(env, version) {
  const [major = 0, minor = 0] = version.split('.').map(Number);
  if (major < NODE_NEEDED[0] || (major === NODE_NEEDED[0] && minor < NODE_NEEDED[1]))
    return `Ulterum needs Node.js ${NODE_NEEDED.join('.')} or later; this is ${version}.`;
  const port = env.PORT ?? '3000';
  if (!/^\d{1,5}$/.test(port) || Number(port) > 65_535)
    return `PORT has to be a whole number from 0 to 65535; it is "${port}".`;
  return null;
}

/** What the server is started with where nobody has said otherwise. */
export const DEFAULTS = {
  // A little above what the routes accept, so that they can answer in their own words.
  BODY_SIZE_LIMIT: '2200000',
  // Seconds until a connection that is still open is closed, once the server was told to end.
  SHUTDOWN_TIMEOUT: '5'
};
