<script lang="ts">
  /** A text with the words of the trade in it as words that can be tapped, each where it first stands. */
  import { withWords } from '$core/words/glossary';
  import { say } from './manner.svelte';
  import Term from './term.svelte';

  interface Props {
    text: string;
  }

  let { text }: Props = $props();
</script>

{#each withWords(say(text)) as piece, at (at)}{#if piece.word}<Term
      id={piece.word}
      says={piece.text}
    />{:else}{piece.text}{/if}{/each}
