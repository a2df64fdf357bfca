<script lang="ts">
  /** A way that is closed: a line with why, which opens to how it goes, all reasons and what was solved. */
  import type { Finding } from '$core/findings/finding';
  import type { PlannedOption } from '$core/plan/plan';
  import { findingText } from '$core/words/findings/table';
  import FindingList from '../reasons/finding-list.svelte';
  import ProofTable from '../reasons/proof-table.svelte';
  import VerdictMark from '../reasons/verdict-mark.svelte';
  import { getPlace } from '../state/context';
  import { say } from '../words/manner.svelte';

  interface Props {
    option: PlannedOption;
    /** Whether a stop that stands above on the page says it all. */
    same: (findings: readonly Finding[]) => boolean;
  }

  const { option, same }: Props = $props();
  const place = getPlace();
  const [first] = $derived(option.findings);
</script>

<details class="border-b border-base-300 py-2 last:border-none" data-method={option.method}>
  <summary class="cursor-pointer">
    <b class="mr-2">{option.title}</b>
    {#if option.closing?.what === 'settled'}<span class="inline-block align-baseline"
        ><VerdictMark verdict={option.verdict} size={16} /></span
      >{/if}
    <span class="quiet block pl-4"
      >{same(option.findings)
        ? 'Closed by the stop above.'
        : first
          ? say(findingText(first, place.job.units))
          : ''}</span
    >
  </summary>
  <div class="mt-2 pl-4">
    <p class="quiet mb-2">{option.how}</p>
    <FindingList findings={option.findings} />
    {#each option.proof?.worlds ?? [] as world (world.world.id)}
      <h3 class="mt-3 font-semibold">Solved for {world.world.says}</h3>
      <ProofTable proof={world} />
    {/each}
  </div>
</details>
