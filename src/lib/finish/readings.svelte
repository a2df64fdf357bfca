<script lang="ts">
  /** Readings of one test: volts at the thermostat, air at the register and at the return; what lies outside its band says where that leads. */
  import type { StepStanding } from '$core/handover/results';
  import { pointsText } from '$core/handover/test-words';
  import { takeReading } from '$core/job/after-edits';
  import type { Measured } from '$core/job/after-schema';
  import { fromShown, shownText, unitName } from '$core/trade/units';
  import ChoiceField from '../fields/choice-field.svelte';
  import { getPlace } from '../state/context';
  import { typedHere } from '../state/typed.svelte';
  import { moment, say } from '../words/manner.svelte';

  interface Props {
    standing: StepStanding;
    /** Pairs of screws of the thermostat that are worth a reading, as they are printed: the hot side and C first. */
    pairs: readonly string[];
  }

  let { standing, pairs }: Props = $props();
  const place = getPlace();
  const units = $derived(place.job.units);
  const { step } = $derived(standing);
  const airs = $derived(step.air !== null && step.air.way !== 'pipe');
  const kinds = $derived<readonly Measured[]>([
    ...(pairs.length > 0 ? (['volts'] as const) : []),
    ...(airs ? (['return-air', 'supply-air'] as const) : [])
  ]);
  const NAMES: Readonly<Record<Measured, string>> = {
    volts: 'Volts AC',
    'supply-air': 'Air at the register',
    'return-air': 'Air at the return',
    outdoors: 'Outdoors'
  };
  const NOTHING_TYPED: Record<Measured, string> = {
    volts: '',
    'supply-air': '',
    'return-air': '',
    outdoors: ''
  };
  let picked = $state('');
  const between = $derived(pairs.includes(picked) ? picked : (pairs[0] ?? 'R-C'));
  const unitOf = (what: Measured) => (what === 'volts' ? `V, ${between}` : unitName('temperature', units));
  const LIMITS: Readonly<Record<Measured, readonly [number, number]>> = {
    volts: [0, 400],
    'supply-air': [-30, 120],
    'return-air': [-30, 60],
    outdoors: [-60, 60]
  };
  const typed = typedHere('reading', NOTHING_TYPED, { part: () => step.call });
  let trouble = $state('');

  function keep(event: SubmitEvent, what: Measured): void {
    event.preventDefault();
    const text = typed[what].trim().replace(',', '.');
    const value = fromShown(Number(text), what === 'volts' ? 'plain' : 'temperature', units);
    const [least, most] = LIMITS[what];
    const holds = text !== '' && Number.isFinite(value) && value >= least && value <= most;
    trouble = holds ? '' : `${NAMES[what]}: a number as the instrument shows it.`;
    if (!holds) return;
    const { session, job, thermostat } = place;
    const reading = {
      at: new Date().toISOString(),
      what,
      between: what === 'volts' ? between : '',
      call: step.call,
      value: Math.round(value * 100) / 100,
      from: 'typed'
    } as const;
    session.edit(takeReading(job, thermostat.id, reading));
    typed[what] = '';
  }

  const shown = (what: Measured, value: number) =>
    what === 'volts' ? `${value} V` : shownText(value, 'temperature', units, 1);
</script>

<div class="flex flex-wrap items-end gap-x-4 gap-y-2">
  {#if pairs.length > 1}
    <div class="w-32">
      <ChoiceField
        label="Between"
        value={between}
        choices={pairs.map((pair) => [pair, pair.replace('-', ' and ')] as const)}
        onset={(pair) => (picked = pair)}
      />
    </div>
  {/if}
  {#each kinds as what (what)}
    <form class="flex items-end gap-2" onsubmit={(event) => keep(event, what)}>
      <label class="flex flex-col gap-1 text-sm"
        >{NAMES[what]} ({unitOf(what)})
        <input
          class="input w-28"
          inputmode="decimal"
          value={typed[what]}
          oninput={(event) => (typed[what] = event.currentTarget.value)}
        />
      </label>
      <button class="btn btn-outline" aria-label="Keep: {NAMES[what]}">Keep</button>
    </form>
  {/each}
</div>
{#if trouble}<p class="mt-1 text-sm" role="alert">{trouble}</p>{/if}
{#if standing.readings.length > 0 || standing.before.length > 0 || standing.measured !== null}
  <ul class="mt-2 text-sm">
    {#if standing.measured !== null}<li class="quiet">
        Measured when the house was looked at: {standing.measured} V between R and C
      </li>{/if}
    {#each standing.before as reading (`${reading.what}${reading.at}`)}
      <li class="quiet">
        Before the work: {NAMES[reading.what]}{reading.between === '' ? '' : ` ${reading.between}`}
        {shown(reading.what, reading.value)}, {moment(reading.at)}
      </li>
    {/each}
    {#each standing.readings.slice(-6) as reading, at (`${reading.what}${reading.at}${at}`)}
      <li>
        {NAMES[reading.what]}{reading.between === '' ? '' : ` ${reading.between}`}
        <b>{shown(reading.what, reading.value)}</b>
        <span class="quiet">{moment(reading.at)}</span>
      </li>
    {/each}
  </ul>
{/if}
{#each standing.outside as outside (outside.points)}
  <p class="mt-2 font-semibold" role="alert">
    {shown(outside.reading.what, outside.reading.value)} is {outside.side} what it should be. It points to {say(
      pointsText(outside)
    )}.
  </p>
{/each}
