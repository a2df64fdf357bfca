<script lang="ts">
  /** The first answer: the C wire, the ways by how likely they are, and what to look at next. */
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import type { Chance, QuickAnswer } from '$core/plan/quick-answer';
  import { findingText } from '$core/words/findings/table';
  import { say } from '../words/manner.svelte';

  const { answer }: { answer: QuickAnswer } = $props();

  const HEADS: Readonly<Record<QuickAnswer['common'], { readonly head: string; readonly text: string }>> = {
    landed: {
      head: 'Probably yes',
      text: 'A wire is on C here. Nobody has seen its other end yet: it counts once it is on C there too.'
    },
    spare: {
      head: 'Not yet, but a wire is free',
      text: 'No wire is on C. A free wire can become the C wire, if it is free at the other end too.'
    },
    none: { head: 'No', text: 'No wire is on C, and none is free here. There are other ways.' },
    'nothing-seen': { head: 'Not known yet', text: 'Touch the letters that have a wire.' }
  };
  const NAMES: Readonly<Record<Chance, string>> = {
    likely: 'Likely',
    possible: 'Possible, if the other ends are as usual',
    depends: 'Depends on the thermostat you buy',
    not: 'Ruled out here'
  };
  const groups = $derived(
    (Object.keys(NAMES) as Chance[])
      .map((chance) => ({ chance, ways: answer.ways.filter((way) => way.chance === chance) }))
      .filter(({ ways }) => ways.length > 0)
  );
</script>

<section
  class="sheet-of-paper border-2 p-4"
  style="border-color: var(--color-base-content)"
  aria-label="First answer"
  aria-live="polite"
  data-common={answer.common}
>
  {#if answer.stops.length > 0}
    <h2 class="section-title flex items-center gap-2"><OctagonX size={22} aria-hidden="true" />Stop</h2>
    {#each answer.stops as stop (stop.code)}<p class="mt-2">{say(findingText(stop))}</p>{/each}
    <p class="mt-2">Put the cover back on. Do not touch the wires.</p>
  {:else}
    <h2 class="section-title">{HEADS[answer.common].head}</h2>
    <p class="mt-1">{HEADS[answer.common].text}</p>
    {#each groups as { chance, ways } (chance)}
      {#if chance === 'not' || chance === 'depends'}
        <details class="mt-3">
          <summary class="min-h-6 font-semibold">{NAMES[chance]} ({ways.length})</summary>
          <ul class="mt-1 list-disc pl-5">
            {#each ways as way (way.method)}<li>
                {way.title}{#if way.why}: <span class="quiet">{way.why}</span>{/if}
              </li>{/each}
          </ul>
        </details>
      {:else}
        <h3 class="mt-3 font-semibold">{NAMES[chance]}</h3>
        <ul class="list-disc pl-5">
          {#each ways as way (way.method)}<li>{way.title}</li>{/each}
        </ul>
      {/if}
    {/each}
    {#if answer.next !== '' && answer.common !== 'nothing-seen'}<p class="mt-3">
        <b>Next:</b>
        {answer.next}
      </p>{/if}
  {/if}
</section>
