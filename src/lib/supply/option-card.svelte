<script lang="ts">
  /** One way of supplying the common: verdict, what it takes away, minutes, cost, proof. */
  import { findingText } from '$core/words/findings/table';
  import { lossText } from '$core/words/losses';
  import { callsText } from './words';
  import type { MistakeCounts } from '$core/diagnose/mistakes';
  import type { PlannedOption } from '$core/plan/plan';
  import type { MethodId } from '$core/trade/vocabulary';
  import { costText, minutesText } from '../moves/bands';
  import { getPlace } from '../state/context';
  import FindingList from '../reasons/finding-list.svelte';
  import ProofTable from '../reasons/proof-table.svelte';
  import VerdictMark from '../reasons/verdict-mark.svelte';
  import Why from '../reasons/why.svelte';
  import { say } from '../words/manner.svelte';

  interface Props {
    option: PlannedOption;
    /** How forgiving it is; null until that is worked out. */
    mistakes: MistakeCounts | null;
    best: boolean;
    number: number;
    chosen: boolean;
    onchoose: (method: MethodId | null, variant: string | null) => void;
  }

  let { option, mistakes, best, number, chosen, onchoose }: Props = $props();
  const place = getPlace();
  const conditions = $derived(
    option.findings.filter((one) => one.level !== 'note' && one.code !== 'function-lost')
  );
  const notes = $derived(option.findings.filter((one) => one.level === 'note'));
</script>

<li
  id="way-{option.method}"
  class="sheet-of-paper flex flex-col gap-3 p-4"
  class:best
  data-method={option.method}
  data-chosen={chosen}
>
  <div>
    <p class="quiet text-sm">{best ? 'Recommended' : `${number}.`}</p>
    <h2 class="section-title">{option.title}</h2>
    <p class="mt-1"><VerdictMark verdict={option.verdict} /></p>
  </div>
  <p>{option.how}</p>
  {#if option.variants.length > 1}
    <label class="flex flex-col gap-1 text-sm"
      ><span>Which way</span>
      <select
        class="select w-full truncate"
        value={option.variant?.id}
        onchange={(event) => onchoose(option.method, event.currentTarget.value)}
      >
        {#each option.variants as one (one.id)}<option value={one.id} disabled={one.verdict === 'no'}
            >{one.title}{one.verdict === 'no' ? ' (not possible)' : ''}</option
          >{/each}
      </select>
      {#if option.variants.some((one) => one.closedBy !== null)}
        <span class="quiet"
          >{option.variants
            .filter((one) => one.closedBy !== null)
            .flatMap((one) =>
              one.closedBy === null ? [] : say(`${one.title}: ${findingText(one.closedBy, place.job.units)}`)
            )
            .join(' ')}</span
        >{/if}
    </label>
  {/if}
  <dl class="grid grid-cols-[6.5rem_1fr] gap-x-3 gap-y-1">
    <dt class="quiet">Downside</dt>
    <dd>
      {#if option.loses.length === 0}nothing{:else}<ul>
          {#each option.loses.map(lossText) as loss (loss)}<li>{loss}</li>{/each}
        </ul>{/if}
    </dd>
    {#if option.standing !== 'left'}
      <dt class="quiet">Work</dt>
      <dd>{minutesText(option.minutesBand)}</dd>
      <dt class="quiet">Parts</dt>
      <dd>{say(costText(option.costBand))}</dd>
    {/if}
    {#if option.proof}<dt class="quiet">Proof</dt>
      <dd>{callsText(option.proof)}</dd>{/if}
    {#if mistakes}<dt class="quiet">If you make one mistake</dt>
      <dd data-slips>
        {mistakes.harming} of {mistakes.all} would do harm, {mistakes.noticed} would show at the tests
      </dd>{/if}
  </dl>
  {#if conditions.length > 0}<FindingList findings={conditions} />{/if}
  {#if notes.length > 0}
    <details class="text-sm">
      <summary class="quiet cursor-pointer">{notes.length} {notes.length === 1 ? 'note' : 'notes'}</summary>
      <div class="mt-1"><FindingList findings={notes} /></div>
    </details>
  {/if}
  <div class="mt-auto flex flex-wrap gap-2">
    {#if option.standing !== 'left' || option.variant?.id === 'repair'}
      {#if chosen}
        <button
          type="button"
          class="btn btn-neutral flex-1"
          aria-pressed="true"
          onclick={() => onchoose(null, null)}>Selected. Tap to undo</button
        >
      {:else}
        <button
          type="button"
          class="btn flex-1"
          class:btn-primary={best}
          class:btn-outline={!best}
          aria-label="Take this way: {option.title}"
          onclick={() => onchoose(option.method, option.variant?.id ?? null)}>Take this way</button
        >
      {/if}
    {/if}
    <Why class="btn btn-ghost" title="{option.title}: reasons and proof" label="Why: {option.title}">
      Why
      {#snippet reasons()}
        {#if option.whyAbove}<p class="mb-3">Stands {option.whyAbove}.</p>{/if}
        <FindingList findings={option.findings} />
        {#each option.proof?.worlds ?? [] as world (world.world.id)}
          <h3 class="mt-3 font-semibold">Solved for {world.world.says}</h3>
          <ProofTable proof={world} />
        {/each}
      {/snippet}
    </Why>
  </div>
</li>

<style>
  .best {
    border: 2px solid var(--color-base-content);
  }
</style>
