<script lang="ts">
  /** One test, large: what to do, what must run and what must not, how long, when to stop; then what came of it. */
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import type { StepStanding } from '$core/handover/results';
  import type { TestGate } from '$core/handover/season';
  import {
    airText,
    gateText,
    loadNames,
    stopText,
    voltsText,
    waitText,
    whatToDo
  } from '$core/handover/test-words';
  import type { Ran } from '$core/handover/carry-over';
  import type { TestResult } from '$core/job/after-schema';
  import { LOAD_NAMES } from '$core/trade/loads';
  import type { LoadId } from '$core/trade/vocabulary';
  import { getPlace } from '../state/context';
  import { emptied, typedHere } from '../state/typed.svelte';
  import Explained from '../words/explained.svelte';
  import { day, moment, say } from '../words/manner.svelte';
  import Outdoors from './outdoors.svelte';
  import Readings from './readings.svelte';
  import TemperatureChart from './temperature-chart.svelte';

  interface Props {
    standing: StepStanding;
    gate: TestGate;
    /** Milliseconds since 1970. */
    now: number;
    /** The day that it is put off to unless somebody says another; null where no warm day is in sight. */
    proposed: string | null;
    /** Pairs of screws that are worth a reading; the hot side of the electronics and C first. */
    pairs: readonly string[];
    onbegin: () => void;
    onend: () => void;
    onresult: (result: TestResult, more: { why?: string; until?: string | null; ran?: Ran }) => void;
  }

  let { standing, gate, now, proposed, pairs, onbegin, onend, onresult }: Props = $props();
  const place = getPlace();
  const NOTHING_TOLD = {
    asking: '' as TestResult | '',
    until: '',
    why: '',
    ran: {} as Partial<Record<LoadId, boolean>>
  };
  const { step } = $derived(standing);
  const units = $derived(place.job.units);
  const testing = $derived(place.thermostat.testing?.call === step.call ? place.thermostat.testing : null);
  const elapsed = $derived(
    testing === null ? 0 : Math.max(0, Math.floor((now - Date.parse(testing.began)) / 1000))
  );
  const clockOf = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  const phase = $derived(
    elapsed < step.wait.first
      ? `The first sign comes within ${waitText(step.wait.first)}.`
      : elapsed < step.wait.judged
        ? `Wait: it can be judged after ${waitText(step.wait.judged)}.`
        : 'Now it can be judged.'
  );
  const closed = $derived(gateText(gate, units, (time) => moment(time)));
  const told = typedHere('test', NOTHING_TOLD, { part: () => step.call });
  /** What somebody looks at: of an "off" everything should rest. */
  const looked = $derived(step.kind === 'off' ? step.mustNotRun : step.mustRun);
  const airs = $derived(
    standing.readings.filter(({ what }) => what === 'supply-air' || what === 'return-air')
  );

  function ask(result: TestResult): void {
    const asking = told.asking === result ? '' : result;
    Object.assign(told, { ...NOTHING_TOLD, asking, until: proposed ?? '' });
  }

  function tell(event: SubmitEvent): void {
    event.preventDefault();
    const { asking, why, until, ran } = told;
    if (asking === '') return;
    onresult(asking, { why: why.trim(), until: asking === 'put-off' ? until : null, ran: { ...ran } });
    emptied(told);
  }
</script>

<div class="flex flex-col gap-3" data-test={step.call} data-gate={gate.open ? 'open' : gate.why}>
  <p class="text-lg"><Explained text={whatToDo(step)} /></p>
  <dl class="facts">
    <dt>Must run</dt>
    <dd>
      <b>{say(loadNames(step.mustRun))}</b>{step.mayRun.length > 0
        ? say(`; ${loadNames(step.mayRun)} may`)
        : ''}
    </dd>
    <dt>Must not run</dt>
    <dd><b>{say(loadNames(step.mustNotRun))}</b></dd>
    {#if step.lost.length > 0}
      <dt>Lost here</dt>
      <dd>{say(loadNames(step.lost))}</dd>
    {/if}
    {#if step.volts !== null}
      <dt>Volts</dt>
      <dd>{voltsText(step, pairs[0])}</dd>
    {/if}
    {#if step.air !== null}
      <dt>{step.air.way === 'pipe' ? 'Pipes' : 'Air'}</dt>
      <dd>{say(airText(step, units))}</dd>
    {/if}
  </dl>
  <p class="flex items-start gap-2">
    <OctagonX size={20} class="mt-0.5 shrink-0" aria-hidden="true" /><span>{say(stopText(step))}</span>
  </p>
  {#if !gate.open && (gate.why === 'outdoors-unknown' || gate.why === 'too-cold')}<Outdoors
      now={new Date(now).toISOString()}
    />{/if}
  {#if closed !== '' && testing === null}<p class="font-semibold" role="status">{say(closed)}</p>{/if}

  {#if gate.open === false && gate.why === 'steps-left' && place.thermostat.log.length === 0}
    <details>
      <summary class="min-h-8 cursor-pointer underline">Read it before the work, to compare</summary>
      <p class="quiet my-1">
        With the old thermostat calling, on the screws of its plate. Only if you can use a meter on 24 V.
      </p>
      <Readings {standing} pairs={['R-C']} />
    </details>
  {/if}
  {#if testing !== null}
    <p class="text-3xl font-bold tabular-nums" aria-label="Time since the call began">{clockOf(elapsed)}</p>
    <p role="status">{testing.ended === null ? phase : 'The call has ended: it runs down.'}</p>
    <Readings {standing} {pairs} />
    {#if airs.length > 1}<TemperatureChart {standing} />{/if}
    {#if testing.ended === null && step.kind !== 'off'}
      <button type="button" class="btn btn-outline self-start" onclick={onend}>I ended the call</button>
    {/if}
  {:else if gate.open}
    <button type="button" class="btn btn-primary btn-lg self-start" onclick={onbegin}
      >{step.kind === 'off' ? 'It is off: begin to wait' : 'I made the call: begin'}</button
    >
  {/if}

  <div class="flex flex-wrap gap-2" role="group" aria-label="What came of it">
    {#if testing !== null}
      <button type="button" class="btn btn-neutral btn-lg" onclick={() => onresult('good', {})}>Good</button>
      <button
        type="button"
        class="btn btn-outline btn-lg"
        aria-expanded={told.asking === 'bad'}
        onclick={() => ask('bad')}>Not good</button
      >
    {/if}
    <button
      type="button"
      class="btn btn-outline"
      aria-expanded={told.asking === 'put-off'}
      onclick={() => ask('put-off')}>Put off</button
    >
    <button
      type="button"
      class="btn btn-outline"
      aria-expanded={told.asking === 'cannot'}
      onclick={() => ask('cannot')}>Cannot be tested</button
    >
  </div>
  {#if told.asking !== ''}
    <form class="flex flex-col gap-3 rounded-box border-2 border-base-300 p-3" onsubmit={tell}>
      {#if told.asking === 'bad'}
        {#each looked as load (load)}
          <fieldset class="flex flex-wrap items-center gap-3">
            <legend class="font-semibold">{say(`The ${LOAD_NAMES[load]}`)}</legend>
            {#each [[true, 'runs'], [false, 'does not']] as const as [runs, text] (text)}
              <label class="flex min-h-10 items-center gap-2">
                <input
                  type="radio"
                  class="radio"
                  name="{step.call}-{load}"
                  checked={told.ran[load] === runs}
                  onchange={() => (told.ran = { ...told.ran, [load]: runs })}
                />{text}
              </label>
            {/each}
          </fieldset>
        {/each}
      {:else if told.asking === 'put-off'}
        <label class="flex flex-col gap-1 text-sm"
          >Until
          <input class="input w-44" type="date" bind:value={told.until} required />
        </label>
        {#if proposed !== null && step.cools}<p class="quiet">
            {day(proposed)}: the first day warm enough, by the weather year of this place.
          </p>{/if}
      {/if}
      <label class="flex flex-col gap-1 text-sm"
        >{told.asking === 'cannot' ? 'Why' : 'A note'}
        <input
          class="input w-full"
          maxlength="120"
          bind:value={told.why}
          required={told.asking === 'cannot'}
        />
      </label>
      <button class="btn btn-primary self-start"
        >{told.asking === 'bad' ? 'Find out why' : told.asking === 'put-off' ? 'Put it off' : 'Keep'}</button
      >
    </form>
  {/if}
</div>

<style>
  .facts {
    display: grid;
    grid-template-columns: max-content minmax(0, 1fr);
    gap: 0.25rem 1rem;
  }

  .facts dt {
    color: color-mix(in oklab, var(--color-base-content) 75%, transparent);
  }
</style>
