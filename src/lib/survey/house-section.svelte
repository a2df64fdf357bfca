<script lang="ts">
  /** The house, who lives in it and the day, from a few answers; a year of weather may come from a file. */
  import { faultText } from '$core/job/faults';
  import { SURVEY_GROUPS, type SurveyCard } from '$core/questions/survey-cards';
  import { readText } from '../files/download';
  import { getPlace } from '../state/context';
  import { setAt } from '../state/set';
  import CardLines from './card-lines.svelte';

  interface Props {
    cards: readonly SurveyCard[];
  }

  let { cards }: Props = $props();
  const place = getPlace();
  const building = $derived(place.job.survey.building);
  let faults = $state<readonly string[]>([]);

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
    const { readWeather } = await import('$core/formats/weather-csv');
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

{#each Object.entries(SURVEY_GROUPS) as [group, title] (group)}
  <section class="sheet-of-paper p-4">
    <h2 class="section-title mb-1">{title}</h2>
    <CardLines cards={cards.filter((card) => card.group === group)} />
    {#if group === 'house'}
      <p class="quiet mt-2 text-sm">
        {building.weather === 'own'
          ? `Weather from your file: ${building.ownWeather?.name ?? ''}.`
          : 'The weather service is simulated: a year made by a formula for invented places.'}
      </p>
      <label class="mt-2 flex max-w-80 flex-col gap-1 text-sm"
        >A year of your own (CSV)
        <input type="file" class="file-input w-full" accept=".csv,text/csv" onchange={bringWeather} />
      </label>
      <p class="quiet mt-1 text-sm">8760 hourly lines with a column temperature_c or temperature_f.</p>
      {#if faults.length > 0}
        <div class="mt-2 rounded border-2 border-base-300 p-3" role="alert">
          <b>The year was not taken over; nothing was changed.</b>
          <ul class="list-disc pl-5">
            {#each faults as line (line)}<li>{line}</li>{/each}
          </ul>
        </div>
      {/if}
    {/if}
  </section>
{/each}
