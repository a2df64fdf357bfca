<script lang="ts">
  /** What a judgement was made from: each fact in words, with the way to where it was recorded. */
  import { factOf, type Where } from '$core/facts/fact';
  import { refId, type Ref } from '$core/findings/refs';
  import { getPlace } from '../state/context';
  import { say } from '../words/manner.svelte';

  interface Props {
    refs: readonly Ref[];
  }

  let { refs }: Props = $props();
  const place = getPlace();
  const shown = $derived([...new Map(refs.map((ref) => [refId(ref), ref])).values()]);

  function address({ station, conductor, device }: Where): string {
    const base = `/job/${place.job.id}/${place.thermostat.id}/${station}`;
    if (conductor !== undefined) return `${base}?strand=${encodeURIComponent(conductor)}&end=wall`;
    return device === undefined ? base : `${base}/${device}`;
  }
</script>

<ul class="list-disc pl-5">
  {#each shown as ref (refId(ref))}
    {@const fact = factOf(place.job, place.thermostat, ref)}
    <li>
      {fact.kind}:
      {#if fact.where}<a class="underline" href={address(fact.where)}>{say(fact.text)}</a>{:else}{say(
          fact.text
        )}{/if}
    </li>
  {/each}
</ul>
