<script lang="ts">
  /** The question that is most worth answering now; one can stop at any time. */
  import { tick } from 'svelte';
  import { nextCard, surveyProgress, type SurveyCard } from '$core/questions/survey-cards';
  import { getPlace } from '../state/context';
  import QuestionCard from './question-card.svelte';

  interface Props {
    cards: readonly SurveyCard[];
  }

  let { cards }: Props = $props();
  const place = getPlace();
  let later = $state.raw<ReadonlySet<string>>(new Set());
  /** Stays while something is typed into it. */
  let held = $state<string | null>(null);
  const card = $derived(cards.find(({ id }) => id === held) ?? nextCard(cards, later));
  const progress = $derived(surveyProgress(cards));
  const about = $derived(
    place.machines.length > 1 ? place.machines.find(({ id }) => id === card?.group) : null
  );
  let heading = $state<HTMLElement>();

  async function goOn(): Promise<void> {
    held = null;
    await tick();
    heading?.focus();
  }
</script>

<section class="sheet-of-paper border-2 p-4" aria-label="Next question">
  <h2 class="quiet mb-1 text-sm font-normal outline-none" tabindex="-1" bind:this={heading}>
    {progress.done} of {progress.of} answered. Stop whenever you like.
  </h2>
  {#if card}
    {#key card.id}
      <QuestionCard {card} about={about?.name} ontyping={() => (held = card.id)} ondone={goOn} />
    {/key}
    <div class="mt-4 flex gap-2">
      {#if card.id === held}
        <button type="button" class="btn btn-primary" onclick={goOn}>Next question</button>
      {:else}
        <button
          type="button"
          class="btn btn-ghost"
          onclick={() => {
            later = new Set([...later, card.id]);
            void goOn();
          }}>Not sure, ask the next</button
        >
      {/if}
    </div>
  {:else}
    <p class="font-semibold">
      {later.size > 0 ? 'Nothing more is asked.' : 'All of it is answered.'}
      <span class="font-normal">Anything can be changed below.</span>
    </p>
    {#if later.size > 0}
      <button type="button" class="btn btn-outline mt-3" onclick={() => (later = new Set())}
        >Ask what I left open</button
      >
    {/if}
  {/if}
</section>
