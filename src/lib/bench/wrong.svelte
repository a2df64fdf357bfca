<script lang="ts">
  /** What is put wrong on purpose: pull off, forget, leave in, swap, blow, take away. */
  import type { FaultKind } from '$core/diagnose/types';
  import type { Bench } from './bench.svelte';

  interface Props {
    bench: Bench;
  }

  let { bench }: Props = $props();
  const KINDS: Readonly<Record<FaultKind, string>> = {
    'conductor-loose': 'Pull a wire off',
    'conductor-broken': 'Break a wire',
    'conductors-swapped': 'Swap two',
    'wrong-terminal': 'Take the wrong terminal',
    'link-missing': 'Forget a jumper',
    'link-left-in': 'Leave a jumper in',
    'short-to-common': 'Touch common',
    'conductors-shorted': 'Let two wires touch',
    'conductor-to-earth': 'Touch earthed metal',
    'conductor-nicked': 'Break a wire at the nick',
    'joint-corroded': 'Corrode a joint',
    'fuse-open': 'Blow the fuse',
    'supply-off': 'Take power away',
    'weak-transformer': 'Weaken a transformer',
    'coil-open': 'Open a coil',
    'coil-shorted': 'Short a coil',
    'contact-welded': 'Weld a contact',
    'board-common-open': 'Open the common inside',
    'switch-open': 'Open a safety switch',
    'head-not-seated': 'Seat the head badly'
  };
  const kinds = $derived(
    (Object.keys(KINDS) as FaultKind[]).filter((kind) => bench.faults.some((fault) => fault.kind === kind))
  );
  let kind = $state<FaultKind>('conductor-loose');
  const shown = $derived(kinds.includes(kind) ? kind : kinds[0]);
</script>

<section class="sheet-of-paper p-4" aria-label="Put something wrong">
  <h2 class="section-title mb-2">Put something wrong</h2>
  {#if kinds.length === 0}<p class="quiet">There is nothing here that could be put wrong.</p>{:else}
    <label class="flex flex-col gap-1 text-sm"
      ><span>What</span>
      <select
        class="select w-full"
        value={shown}
        onchange={(event) => (kind = event.currentTarget.value as FaultKind)}
      >
        {#each kinds as kind (kind)}<option value={kind}>{KINDS[kind]}</option>{/each}
      </select></label
    >
    <ul class="mt-3 flex max-h-64 flex-col gap-1 overflow-y-auto">
      {#each bench.faults.filter((fault) => fault.kind === shown) as fault (fault.id)}
        {@const inside = bench.wrong.includes(fault.id)}
        <li>
          <button
            type="button"
            class="btn btn-ghost h-auto min-h-11 w-full justify-start py-1 text-left font-normal"
            aria-pressed={inside}
            onclick={() => bench.toggle(fault.id)}
            ><span class="box" class:inside aria-hidden="true">{inside ? '×' : ''}</span>{fault.says}</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  .box {
    display: inline-grid;
    place-items: center;
    flex: none;
    width: 1.2rem;
    height: 1.2rem;
    border: 1.5px solid currentColor;
    border-radius: 0.2rem;
    font-weight: 700;
  }

  .inside {
    background: var(--color-base-content);
    color: var(--color-base-100);
  }
</style>
