<script lang="ts">
  /** How a thermostat fits here, as a word and a shape. */
  import type { Match } from '$core/match/matched';
  import VerdictMark from '../reasons/verdict-mark.svelte';
  import { fitWords } from './words';

  const { match }: { match: Match } = $props();
</script>

<VerdictMark
  verdict={match.verdict}
  words={fitWords(match)}
  waits={match.known === 'nothing' && match.verdict !== 'no'}
/>
