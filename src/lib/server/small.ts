/** Which work is small enough for the quick lane: a guess from the counts in a body, before anything is checked. */

/** Beyond these a body is not even parsed to be guessed at. */
const MOST_BYTES = 64_000;
/** An ordinary house, or a small one with several thermostats. */
const MOST = { machines: 3, thermostats: 4, conductors: 40, draws: 1000 };

export function isSmall(bytes: Uint8Array): boolean {
  if (bytes.length > MOST_BYTES) return false;
  let body: unknown;
  try {
    body = JSON.parse(new TextDecoder().decode(bytes));
  } catch {
    // It is refused as soon as the thread looks at it.
    return true;
  }
  const job = fieldOf(body, 'job') ?? body;
  const thermostats = listOf(job, 'thermostats');
  const conductors = thermostats.map((thermostat) => listOf(thermostat, 'conductors').length);
  const draws = fieldOf(body, 'draws');
  return (
    listOf(job, 'equipment').length <= MOST.machines &&
    thermostats.length <= MOST.thermostats &&
    conductors.reduce((sum, count) => sum + count, 0) <= MOST.conductors &&
    !(typeof draws === 'number' && draws > MOST.draws)
  );
}

function fieldOf(value: unknown, name: string): unknown {
  return typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[name] : undefined;
}

function listOf(value: unknown, name: string): readonly unknown[] {
  const found = fieldOf(value, name);
  return Array.isArray(found) ? (found as unknown[]) : [];
}
