<script lang="ts">
  /** Findings, stops first; each can be asked which recorded facts it rests on. */
  import type { Finding } from '$core/findings/finding';
  import { getPlace } from '../state/context';
  import { factKey } from '$core/findings/finding';
  import FindingLine from './finding-line.svelte';
  import { findingWords } from './finding-words.svelte';
  import WhyFacts from './why-facts.svelte';
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
      {say(findingWords(finding, place.job.units))}
      {#if finding.because.length > 0 && !compact}
        <WhyFacts refs={finding.because} />
      {/if}
    </FindingLine>
  {/each}
</ul>
