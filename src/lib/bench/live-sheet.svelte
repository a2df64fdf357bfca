<script lang="ts">
  /** The strand sheet powered up: each end takes a probe, each strand tells what it carries. */
  import { landedTerminal } from '$core/wiring/graph';
  import { endText, sheetView, type CellKind, type RowView } from '../sheet/rows';
  import StrandSheet from '../sheet/strand-sheet.svelte';
  import type { Bench, Powered } from './bench.svelte';

  interface Props {
    bench: Bench;
    powered: Powered;
    label: string;
    onpick?: (conductor: string) => void;
  }

  let { bench, powered, label, onpick }: Props = $props();
  const view = $derived(sheetView(powered.wiring));

  function terminalOf(row: RowView, kind: CellKind): string | null {
    const strand = powered.wiring.strands.find((strand) => strand.id === row.id);
    return strand && (kind === 'wall' || kind === 'equipment')
      ? landedTerminal(strand[kind === 'wall' ? 'near' : 'far'])
      : null;
  }

  function reading(row: RowView): string {
    const it = powered.seen.strands.get(row.id);
    if (!it) return '';
    const volts =
      it.volts === null ? 'no voltage defined against common' : `${it.volts.toFixed(1)} V against common`;
    return `${row.name}: ${it.amps.toFixed(2)} A, ${volts}`;
  }
</script>

<StrandSheet {view} {label} live={powered.seen.strands}>
  {#snippet cell({ row, kind }, content)}
    {@const terminal = terminalOf(row, kind)}
    {#if terminal !== null}
      {@const at = bench.probes.indexOf(terminal)}
      <button
        type="button"
        class="end"
        aria-pressed={at >= 0}
        aria-label="Probe on {endText(kind === 'wall' ? row.wall : row.equipment)}, {row.name}, {kind}"
        onclick={() => bench.probe(terminal)}
        >{@render content()}{#if at >= 0}<span class="probe" aria-hidden="true">{at + 1}</span>{/if}</button
      >
    {:else if kind === 'strand' && onpick}
      <button type="button" class="pick" aria-label={reading(row)} onclick={() => onpick(row.id)}
        >{@render content()}</button
      >
    {:else}{@render content()}{/if}
  {/snippet}
</StrandSheet>

<style>
  .end {
    position: relative;
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
    cursor: pointer;
  }

  .probe {
    position: absolute;
    top: -0.15rem;
    right: -0.35rem;
    display: grid;
    place-items: center;
    width: 1.3rem;
    height: 1.3rem;
    border-radius: 50% 50% 50% 0;
    background: var(--color-base-content);
    color: var(--color-base-100);
    font-size: 0.8125rem;
    font-weight: 700;
    z-index: 3;
  }

  .pick {
    width: 100%;
    height: 100%;
    cursor: pointer;
  }
</style>
