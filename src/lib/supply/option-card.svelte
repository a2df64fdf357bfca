<script lang="ts">
  /** One way to the C wire: a line with its verdict, minutes and cost, which opens to its picture, its act and its reasons. */
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import { findingText } from '$core/words/findings/table';
  import { lossText } from '$core/words/losses';
  import { callsText } from './words';
  import type { MistakeCounts } from '$core/diagnose/mistakes';
  import type { PlannedOption } from '$core/plan/plan';
  import type { MethodId } from '$core/trade/vocabulary';
  import { costText, minutesText } from '../moves/bands';
  import { getPlace } from '../state/context';
  import { levelCounts } from '../reasons/levels';
  import FindingList from '../reasons/finding-list.svelte';
  import ProofTable from '../reasons/proof-table.svelte';
  import VerdictMark from '../reasons/verdict-mark.svelte';
  import Why from '../reasons/why.svelte';
  import Explained from '../words/explained.svelte';
  import WayPicture from './way-picture.svelte';
  import { say } from '../words/manner.svelte';

  interface Props {
    option: PlannedOption;
    /** How forgiving it is; null until that is worked out. */
    mistakes: MistakeCounts | null;
    best: boolean;
    /** It stands only until the ways that wait are judged. */
    meanwhile: boolean;
    number: number;
    chosen: boolean;
    /** Whether it is unfolded. */
    open: boolean;
    onchoose: (method: MethodId | null, variant: string | null) => void;
  }

  let { option, mistakes, best, meanwhile, number, chosen, open = $bindable(), onchoose }: Props = $props();
  const place = getPlace();
  const conditions = $derived(
    option.findings.filter((finding) => finding.level !== 'note' && finding.code !== 'function-lost')
  );
  const notes = $derived(option.findings.filter((finding) => finding.level === 'note'));
  const losses = $derived(option.loses.length === 0 ? 'nothing' : option.loses.map(lossText).join('; '));
  /** The way in a line. */
  const brief = $derived(
    [
      ...(option.standing === 'left'
        ? []
        : [minutesText(option.minutesBand), say(costText(option.costBand))]),
      ...(option.loses.length === 0 ? [] : [losses])
    ].join(' · ')
  );
</script>

<li
  id="way-{option.method}"
  class="sheet-of-paper"
  class:best
  data-method={option.method}
  data-chosen={chosen}
>
  <details bind:open>
    <summary class="flex cursor-pointer items-start gap-3 p-4">
      <span class="min-w-0 flex-1">
        <span class="quiet block text-sm"
          >{meanwhile ? 'Until then' : best ? 'Recommended' : `${number}.`}{chosen ? ' · selected' : ''}</span
        >
        <span class="section-title block">{option.title}</span>
        <span class="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm"
          >{#if !meanwhile}<VerdictMark verdict={option.verdict} size={16} />{/if}<span>{brief}</span></span
        >
      </span>
      <ChevronDown size={20} class={['mt-1 flex-none', open && 'rotate-180']} aria-hidden="true" />
    </summary>
    <div class="grid gap-4 px-4 pb-4 lg:grid-cols-2">
      <div class="flex flex-col items-start gap-3">
        <p><Explained text={option.how} /></p>
        {#if option.after}<WayPicture before={place.plan.wiringNow} after={option.after} />{/if}
        {#if option.variants.length > 1}
          <label class="flex w-full flex-col gap-1 text-sm"
            ><span>Which way</span>
            <select
              class="select w-full truncate"
              value={option.variant?.id}
              onchange={(event) => onchoose(option.method, event.currentTarget.value)}
            >
              {#each option.variants as variant (variant.id)}<option
                  value={variant.id}
                  disabled={variant.verdict === 'no'}
                  >{say(variant.title)}{variant.verdict === 'no' ? ' (not possible)' : ''}</option
                >{/each}
            </select>
            {#if option.variants.some((variant) => variant.closedBy !== null)}
              <span class="quiet"
                >{option.variants
                  .flatMap((variant) =>
                    variant.closedBy === null
                      ? []
                      : say(`${variant.title}: ${findingText(variant.closedBy, place.job.units)}`)
                  )
                  .join(' ')}</span
              >{/if}
          </label>
        {/if}
        <div class="flex w-full flex-wrap gap-2">
          {#if option.standing !== 'left' || option.variant?.id === 'repair'}
            {#if chosen}
              <button
                type="button"
                class="btn btn-neutral btn-lg flex-1"
                aria-pressed="true"
                onclick={() => onchoose(null, null)}>Selected. Tap to undo</button
              >
            {:else}
              <button
                type="button"
                class="btn btn-lg flex-1"
                class:btn-primary={best}
                class:btn-outline={!best}
                aria-label="Take this way: {option.title}"
                onclick={() => onchoose(option.method, option.variant?.id ?? null)}>Take this way</button
              >
            {/if}
          {/if}
          <Why
            class="btn btn-ghost btn-lg"
            title="{option.title}: reasons and proof"
            label="Why: {option.title}"
          >
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
      </div>
      <div class="flex flex-col gap-3">
        <dl class="grid grid-cols-[6.5rem_minmax(0,1fr)] gap-x-3 gap-y-1">
          <dt class="quiet">What you lose</dt>
          <dd>{losses}</dd>
          {#if option.standing !== 'left'}
            <dt class="quiet">Work</dt>
            <dd>{minutesText(option.minutesBand)}</dd>
            <dt class="quiet">To buy</dt>
            <dd>{say(costText(option.costBand))}</dd>
          {/if}
          {#if option.proof}<dt class="quiet">Proof</dt>
            <dd>{callsText(option.proof)}</dd>{/if}
          {#if mistakes}<dt class="quiet">One mistake</dt>
            <dd data-slips>
              {mistakes.harming} of {mistakes.all} would do harm, {mistakes.noticed} would show at the tests
            </dd>{/if}
        </dl>
        {#if conditions.length > 0}<FindingList findings={conditions} />{/if}
        {#if notes.length > 0}
          <details class="text-sm">
            <summary class="quiet cursor-pointer">{levelCounts(notes)}</summary>
            <div class="mt-1"><FindingList findings={notes} /></div>
          </details>
        {/if}
      </div>
    </div>
  </details>
</li>

<style>
  .best {
    border: 2px solid var(--color-base-content);
  }
</style>
