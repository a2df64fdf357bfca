import { json } from '@sveltejs/kit';
import { findPlace, WEATHER_PLACES, yearOf } from '$core/house/weather';
import { refuse } from '$lib/server/body';
import type { RequestHandler } from './$types';

/** `GET /api/weather/PLACE`: the hourly year of a place of the simulated weather service, tenths of a degree Celsius. */
export const GET: RequestHandler = ({ params }) => {
  const place = findPlace(params.place);
  if (!place)
    return refuse(404, 'No such place.', [
      {
        path: 'place',
        expected: WEATHER_PLACES.map((weatherPlace) => weatherPlace.id).join(', '),
        found: params.place
      }
    ]);
  return json({
    place: place.id,
    name: place.name,
    simulated: true,
    tenths: Array.from(yearOf(place), (value) => Math.round(value * 10))
  });
};
