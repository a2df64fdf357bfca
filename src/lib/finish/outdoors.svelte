<script lang="ts">
  /** How warm it is outdoors: a thermometer typed in, or the simulated weather taken for today. */
  import { LEAST_COOLING_C, outdoorsNow, weatherAt } from '$core/handover/season';
  import type { TakenReading } from '$core/job/after-schema';
  import { takeReading } from '$core/job/after-edits';
  import { fromShown, shownText, toShown, unitName } from '$core/trade/units';
  import { getPlace } from '../state/context';
  import { localIso } from '../state/local-time';
  import { currentWeather } from '../state/weather.svelte';
  import { emptied, typedHere } from '../state/typed.svelte';
  import { moment } from '../words/manner.svelte';

  interface Props {
    /** ISO time. */
    now: string;
  }

  let { now }: Props = $props();
  const place = getPlace();
  const units = $derived(place.job.units);
  const last = $derived(outdoorsNow(place.thermostat.readings, now));
  const weather = $derived(currentWeather(place.job.survey.building));
  const simulated = $derived(weatherAt(weather.hourly, localIso(Date.parse(now))));
  const typed = typedHere('outdoors', { air: '' });
  let trouble = $state('');
  const [COLDEST, WARMEST] = [-60, 60];

  function keep(value: number, from: TakenReading['from']): void {
    const { session, job, thermostat } = place;
    const reading = {
      at: new Date().toISOString(),
      what: 'outdoors',
      between: '',
      call: 'idle',
      value,
      from
    } as const;
    session.edit(takeReading(job, thermostat.id, reading));
  }

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    const value = fromShown(Number(typed.air.replace(',', '.')), 'temperature', units);
    const holds = typed.air.trim() !== '' && Number.isFinite(value) && value >= COLDEST && value <= WARMEST;
    trouble = holds ? '' : 'A temperature, as the thermometer shows it.';
    if (!holds) return;
    keep(Math.round(value * 10) / 10, 'typed');
    emptied(typed);
  }
</script>

<form class="flex flex-wrap items-end gap-2" onsubmit={submit}>
  <label class="flex flex-col gap-1 text-sm"
    >Outdoors, {unitName('temperature', units)}
    <input class="input w-28" inputmode="decimal" bind:value={typed.air} aria-invalid={trouble !== ''} />
  </label>
  <button class="btn btn-outline">Keep</button>
  <button
    type="button"
    class="btn btn-ghost"
    onclick={() => keep(simulated, weather.simulated ? 'simulated' : 'weather-year')}
    >Take {shownText(simulated, 'temperature', units, 1)} of {weather.simulated
      ? 'the simulated weather'
      : weather.name}</button
  >
</form>
{#if trouble}<p class="mt-1 text-sm" role="alert">{trouble}</p>{/if}
<p class="mt-1">
  {#if last}
    <b>{shownText(last.value, 'temperature', units, 1)}</b>
    <span class="quiet"
      >{last.from === 'typed'
        ? ''
        : last.from === 'simulated'
          ? 'simulated, '
          : 'by the weather year, '}{moment(last.at)}</span
    >
    {last.value < LEAST_COOLING_C ? 'Too cold to test cooling.' : ''}
  {:else}
    <span class="quiet"
      >Not read yet. Cooling is not tested below {Math.round(toShown(LEAST_COOLING_C, 'temperature', units))}
      {unitName('temperature', units)}.</span
    >
  {/if}
</p>
