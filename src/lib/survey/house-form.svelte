<script lang="ts">
  /** The house and who lives in it, from a few answers. */
  import { HOME_SYSTEM_NAMES, HOME_SYSTEMS } from '$core/trade/home-systems';
  import { boundsOf } from '$core/job/bounds';
  import { BuildingFacts, Habits, Survey } from '$core/job/survey-schema';
  import { readWeather } from '$core/formats/weather-csv';
  import { faultText } from '$core/job/faults';
  import { WEATHER_PLACES } from '$core/house/weather';
  import ChoiceField from '../fields/choice-field.svelte';
  import NumberField from '../fields/number-field.svelte';
  import { readText } from '../files/download';
  import { getPlace } from '../state/context';
  import { setAt, setBuilding, setHabit, setSurvey } from '../state/set';
  import { YES_NO } from './words';

  const place = getPlace();
  const survey = $derived(place.job.survey);
  const { building, habits } = $derived(survey);
  let faults = $state<readonly string[]>([]);
  const hours = Array.from(
    { length: 24 },
    (_, hour) => [String(hour), `${String(hour).padStart(2, '0')}:00`] as const
  );

  async function bringWeather(event: Event): Promise<void> {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    const text = await readText(file, 2_000_000);
    if (!text.ok) {
      faults = [text.why];
      return;
    }
    const read = readWeather(text.text, file.name);
    faults = read.ok ? [] : read.faults.map(faultText);
    if (read.ok)
      setAt(
        place,
        ['survey', 'building'],
        { ...building, weather: 'own', ownWeather: read.weather },
        `Weather from ${file.name}`
      );
  }
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-2">The house</h2>
  <div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
    <NumberField
      label="Heated floor"
      quantity="area"
      value={building.floorAreaM2}
      {...boundsOf(BuildingFacts.entries.floorAreaM2)}
      digits={0}
      onset={(value) => setBuilding(place, 'floorAreaM2', value, 'Heated floor')}
    />
    <NumberField
      label="Storeys"
      value={building.storeys}
      {...boundsOf(BuildingFacts.entries.storeys)}
      digits={0}
      whole
      onset={(value) => setBuilding(place, 'storeys', value, 'Storeys')}
    />
    <NumberField
      label="Ceiling height"
      quantity="length"
      value={building.ceilingM}
      {...boundsOf(BuildingFacts.entries.ceilingM)}
      onset={(value) => setBuilding(place, 'ceilingM', value, 'Ceiling height')}
    />
    <ChoiceField
      label="Walls and roof"
      value={building.insulation}
      choices={[
        ['unknown', 'not known'],
        ['poor', 'little or none'],
        ['usual', 'as usual'],
        ['good', 'well insulated']
      ]}
      onset={(value) => setBuilding(place, 'insulation', value, 'Insulation')}
    />
    <ChoiceField
      label="Draughts"
      value={building.draughts}
      choices={[
        ['unknown', 'not known'],
        ['draughty', 'draughty'],
        ['usual', 'as usual'],
        ['tight', 'tight']
      ]}
      onset={(value) => setBuilding(place, 'draughts', value, 'Draughts')}
    />
    <ChoiceField
      label="Built"
      value={building.build}
      choices={[
        ['unknown', 'not known'],
        ['light', 'of wood and board'],
        ['medium', 'mixed'],
        ['heavy', 'of stone or brick']
      ]}
      onset={(value) => setBuilding(place, 'build', value, 'How it is built')}
    />
    <NumberField
      label="Heating gives"
      unit="kW"
      value={building.heatingKw}
      {...boundsOf(BuildingFacts.entries.heatingKw)}
      onset={(value) => setBuilding(place, 'heatingKw', value, 'Heating power')}
    />
    <NumberField
      label="Heat for each unit paid"
      value={building.efficiency}
      {...boundsOf(BuildingFacts.entries.efficiency)}
      digits={2}
      onset={(value) => setBuilding(place, 'efficiency', value, 'Efficiency')}
    />
    <NumberField
      label="Price of a kWh"
      unit="$"
      value={building.pricePerKwh}
      {...boundsOf(BuildingFacts.entries.pricePerKwh)}
      digits={3}
      onset={(value) => setBuilding(place, 'pricePerKwh', value, 'Price of a kWh')}
    />
  </div>
  <h3 class="mt-4 mb-2 font-semibold">Who lives there</h3>
  <div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
    <ChoiceField
      label="Somebody is home"
      value={habits.home}
      choices={[
        ['unknown', 'not known'],
        ['always', 'always'],
        ['away-by-day', 'not on weekdays by day'],
        ['irregular', 'it changes']
      ]}
      onset={(value) => setHabit(place, 'home', value, 'Who is home')}
    />
    <ChoiceField
      label="At night"
      value={habits.night}
      choices={[
        ['set-back', 'cooler'],
        ['as-by-day', 'as by day']
      ]}
      onset={(value) => setHabit(place, 'night', value, 'At night')}
    />
    <ChoiceField
      label="Turned down today already"
      value={habits.setsBackToday}
      choices={YES_NO}
      onset={(value) => setHabit(place, 'setsBackToday', value, 'Turned down today')}
    />
    <NumberField
      label="Comfortable"
      quantity="temperature"
      value={habits.comfortC}
      {...boundsOf(Habits.entries.comfortC)}
      optional={false}
      onset={(value) => value !== null && setHabit(place, 'comfortC', value, 'Comfortable temperature')}
    />
    <NumberField
      label="Set back to"
      quantity="temperature"
      value={habits.setbackC}
      {...boundsOf(Habits.entries.setbackC)}
      optional={false}
      onset={(value) => value !== null && setHabit(place, 'setbackC', value, 'Set back to')}
    />
    <NumberField
      label="Not below"
      quantity="temperature"
      value={survey.lowestC}
      {...boundsOf(Survey.entries.lowestC)}
      optional={false}
      onset={(value) => value !== null && setSurvey(place, 'lowestC', value, 'Lowest temperature')}
    />
    {#if habits.home === 'away-by-day'}
      <ChoiceField
        label="Away from"
        value={String(habits.awayFrom)}
        choices={hours}
        onset={(value) => setHabit(place, 'awayFrom', Number(value), 'Away from')}
      />
      <ChoiceField
        label="Back at"
        value={String(habits.awayTo)}
        choices={hours}
        onset={(value) => setHabit(place, 'awayTo', Number(value), 'Back at')}
      />
    {/if}
    {#if habits.night === 'set-back'}
      <ChoiceField
        label="Night from"
        value={String(habits.nightFrom)}
        choices={hours}
        onset={(value) => setHabit(place, 'nightFrom', Number(value), 'Night from')}
      />
      <ChoiceField
        label="Morning at"
        value={String(habits.nightTo)}
        choices={hours}
        onset={(value) => setHabit(place, 'nightTo', Number(value), 'Morning at')}
      />
    {/if}
    <fieldset class="col-span-full text-sm">
      <legend>It has to work with</legend>
      <div class="mt-1 flex flex-wrap gap-x-4 gap-y-2">
        {#each HOME_SYSTEMS as system (system)}
          <label class="flex min-h-8 items-center gap-2">
            <input
              type="checkbox"
              class="checkbox"
              checked={survey.worksWith.includes(system)}
              onchange={(event) =>
                setSurvey(
                  place,
                  'worksWith',
                  event.currentTarget.checked
                    ? [...survey.worksWith, system]
                    : survey.worksWith.filter((other) => other !== system),
                  'What it has to work with'
                )}
            />
            {HOME_SYSTEM_NAMES[system]}
          </label>
        {/each}
      </div>
    </fieldset>
    <ChoiceField
      label="Somebody old, ill or very young"
      value={survey.frail}
      choices={YES_NO}
      onset={(value) => setSurvey(place, 'frail', value, 'Somebody frail')}
    />
    <ChoiceField
      label="Pipes that can freeze"
      value={survey.pipesCanFreeze}
      choices={YES_NO}
      onset={(value) => setSurvey(place, 'pipesCanFreeze', value, 'Pipes that can freeze')}
    />
    <ChoiceField
      label="The old system works"
      value={survey.oldOneWorks}
      choices={YES_NO}
      onset={(value) => setSurvey(place, 'oldOneWorks', value, 'The old system works')}
    />
    <ChoiceField
      label="Internet in the house"
      value={survey.internet}
      choices={[
        ['unknown', 'not known'],
        ['works', 'works'],
        ['none', 'none']
      ]}
      onset={(value) => setSurvey(place, 'internet', value, 'Internet')}
    />
    <NumberField
      label="Rebate"
      unit="$"
      value={survey.rebate}
      {...boundsOf(Survey.entries.rebate)}
      digits={0}
      onset={(value) => setSurvey(place, 'rebate', value, 'Rebate')}
    />
  </div>
  <h3 class="mt-4 mb-2 font-semibold">Day and weather</h3>
  <div class="grid gap-3 sm:grid-cols-3">
    <label class="flex flex-col gap-1 text-sm"
      >Day of the work
      <input
        type="date"
        class="input w-full"
        value={survey.workDay ?? ''}
        onchange={(event) =>
          setSurvey(place, 'workDay', event.currentTarget.value || null, 'Day of the work')}
      />
    </label>
    <ChoiceField
      label="Weather like (simulated)"
      value={building.weather}
      choices={[
        ...WEATHER_PLACES.map((one) => [one.id, one.name] as const),
        ...(building.ownWeather ? [['own', building.ownWeather.name] as const] : [])
      ]}
      onset={(value) => setBuilding(place, 'weather', value, 'Weather')}
    />
    <label class="flex flex-col gap-1 text-sm"
      >Or a year of your own (CSV)
      <input type="file" class="file-input w-full" accept=".csv,text/csv" onchange={bringWeather} />
    </label>
  </div>
  <p class="quiet mt-2 text-sm">
    The weather service is simulated: a year made by a formula for invented places. A file of your own holds
    8760 hourly lines with a column temperature_c or temperature_f.
  </p>
  {#if faults.length > 0}
    <div class="mt-2 rounded border-2 border-base-300 p-3" role="alert">
      <b>The year was not taken over; nothing was changed.</b>
      <ul class="list-disc pl-5">
        {#each faults as line (line)}<li>{line}</li>{/each}
      </ul>
    </div>
  {/if}
</section>
