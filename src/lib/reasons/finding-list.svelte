<script lang="ts">
  /** Findings, stops first; each can be asked which recorded facts it rests on. */
  import type { Finding } from '$core/findings/finding';
  import { getPlace } from '../state/context';
  import { factKey } from '$core/findings/finding';
  import { findingText } from '$core/words/findings/table';
  import FactList from './fact-list.svelte';
  import FindingLine from './finding-line.svelte';
  import { say } from '../words/manner.svelte';

  interface Props {
    findings: readonly Finding[];
    /** Notes are folded away where they would drown what matters. */
    compact?: boolean;
  }

  let { findings, compact = false }: Props = $props();
  const place = getPlace();
</script>

<ul class="flex flex-col gap-2">
  {#each findings as finding (factKey(finding))}
    <FindingLine level={finding.level} code={finding.code}>
      {say(findingText(finding, place.job.units))}
      {#if finding.because.length > 0 && !compact}
        <details class="mt-0.5 text-sm">
          <summary class="quiet cursor-pointer">Why</summary>
          <FactList refs={finding.because} />
        </details>
      {/if}
    </FindingLine>
  {/each}
</ul>
