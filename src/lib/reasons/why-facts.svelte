<script lang="ts">
  /** "Why": the recorded facts that a finding rests on, loaded when it is opened. */
  import type { Ref } from '$core/findings/refs';
  import OnDemand from '../frame/on-demand.svelte';

  let { refs }: { refs: readonly Ref[] } = $props();
  let open = $state(false);
</script>

<details class="mt-0.5 text-sm" bind:open>
  <summary class="quiet cursor-pointer">Why</summary>
  <OnDemand {open} load={() => import('./fact-list.svelte')} given={{ refs }} />
</details>
