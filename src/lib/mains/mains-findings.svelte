<script lang="ts">
  /** What is said about mains controls, stops first. Notes are folded away where they would drown what matters. */
  import type { MainsFinding } from '$core/findings/mains';
  import { mainsText } from '$core/words/mains-findings';
  import FindingLine from '../reasons/finding-line.svelte';
  import { say } from '../words/manner.svelte';

  interface Props {
    findings: readonly MainsFinding[];
    fold?: boolean;
  }

  let { findings, fold = false }: Props = $props();
  const shown = $derived(fold ? findings.filter(({ level }) => level !== 'note') : findings);
  const folded = $derived(fold ? findings.filter(({ level }) => level === 'note') : []);
</script>

{#snippet line(finding: MainsFinding)}
  <FindingLine level={finding.level} code={finding.code}>{say(mainsText(finding))}</FindingLine>
{/snippet}

{#if shown.length > 0}
  <ul class="flex flex-col gap-2">
    {#each shown as finding, at (at)}{@render line(finding)}{/each}
  </ul>
{/if}
{#if folded.length > 0}
  <details class="text-sm">
    <summary class="quiet cursor-pointer py-1">Good to know ({folded.length})</summary>
    <ul class="flex flex-col gap-1">
      {#each folded as finding, at (at)}{@render line(finding)}{/each}
    </ul>
  </details>
{/if}
