/** The weather of the open job: the user's own year, or a place of the simulated weather service, fetched once and kept. */
import { weatherOf, type Weather } from '$core/house/weather';
import type { BuildingFacts } from '$core/job/survey-schema';

const fetched: Record<string, Weather> = $state({});
/** Places asked for already, whether or not an answer came. */
const asked: Record<string, true> = {};

/** What is at hand now; a place is asked for the first time it is named. Without a network the same year comes out of its formula. */
export function currentWeather(facts: Pick<BuildingFacts, 'weather' | 'ownWeather'>): Weather {
  return facts.weather === 'own' ? weatherOf(facts) : (fetched[facts.weather] ?? weatherOf(facts));
}

export async function askWeather(place: string): Promise<void> {
  if (place === 'own' || asked[place]) return;
  asked[place] = true;
  try {
    const answer = await fetch(`/api/weather/${place}`);
    if (!answer.ok) return;
    const body = (await answer.json()) as { name: string; tenths: number[] };
    fetched[place] = {
      name: body.name,
      simulated: true,
      hourly: Float64Array.from(body.tenths, (tenth) => tenth / 10)
    };
  } catch {
    delete asked[place];
  }
}
