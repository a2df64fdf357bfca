<script lang="ts">
  /** A word of the trade where it first stands: tap it for two sentences and a drawing. */
  import { findWord, type WordId } from '$core/words/glossary';
  import Dialog from '../frame/dialog.svelte';
  import Drawing from './drawing.svelte';

  interface Props {
    id: WordId;
    /** As it stands in the sentence; the word itself where nothing is said. */
    says?: string;
  }

  const { id, says }: Props = $props();
  const word = $derived(findWord(id));
  let open = $state(false);
</script>

{#if word}<button type="button" class="term" aria-haspopup="dialog" onclick={() => (open = true)}
    >{says ?? word.term}</button
  ><Dialog {open} title={word.term} onclose={() => (open = false)}>
    {#if word.drawing}<div class="mb-3 flex justify-center"><Drawing which={word.drawing} /></div>{/if}
    <p>{word.text}</p>
    <p class="mt-3"><a class="underline" href="/words">All words</a></p>
  </Dialog>{/if}

<style>
  .term {
    cursor: pointer;
    text-decoration: underline dotted;
    text-underline-offset: 3px;
    font: inherit;
    min-height: 24px;
  }
</style>
