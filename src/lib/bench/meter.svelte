<script lang="ts">
  /** A simulated meter with two probes, for any two terminals. */
  import { commonNode } from '$core/devices/boards/board';
  import { printedMark } from '$core/wiring/graph';
  import type { Bench, Powered } from './bench.svelte';

  interface Props {
    bench: Bench;
    powered: Powered;
  }

  let { bench, powered }: Props = $props();
  const groups = $derived(
    powered.wiring.devices.map((device) => ({
      id: device.id,
      name: device.name,
      terminals: [
        ...device.screws.map((screw) => ({ id: screw.id, name: printedMark(powered.wiring, screw.id) })),
        // Where the common of a board is, even where no screw leads to it.
        ...(device.kind === 'board' && !device.screws.some((screw) => screw.id === commonNode(device))
          ? [{ id: commonNode(device), name: 'common' }]
          : [])
      ]
    }))
  );
  const reading = $derived.by(() => {
    const [one, other] = bench.probes;
    if (one === null || other === null) return 'Put both probes on terminals.';
    const volts = powered.seen.meter.volts(one, other);
    return volts === null ? 'No defined voltage: nothing joins the two.' : `${volts.toFixed(1)} V`;
  });

  function set(at: 0 | 1, terminal: string): void {
    const next: [string | null, string | null] = [...bench.probes];
    next[at] = terminal === '' ? null : terminal;
    bench.probes = next;
  }
</script>

<section class="sheet-of-paper p-4" aria-label="Simulated meter">
  <h2 class="section-title mb-1">Meter <span class="quiet text-sm font-normal">simulated, AC volts</span></h2>
  <p class="reading" aria-live="polite" data-reading>{reading}</p>
  <div class="grid grid-cols-2 gap-3">
    {#each [0, 1] as const as at (at)}
      <label class="flex flex-col gap-1 text-sm"
        ><span>Probe {at + 1}</span>
        <select
          class="select w-full"
          value={bench.probes[at] ?? ''}
          onchange={(event) => set(at, event.currentTarget.value)}
        >
          <option value="">off</option>
          {#each groups as group (group.id)}
            <optgroup label={group.name}>
              {#each group.terminals as terminal (terminal.id)}<option value={terminal.id}
                  >{terminal.name} · {group.name}</option
                >{/each}
            </optgroup>
          {/each}
        </select>
      </label>
    {/each}
  </div>
  <p class="quiet mt-2 text-sm">A mark on the sheet takes the next free probe.</p>
</section>

<style>
  .reading {
    font-size: 1.6rem;
    font-weight: 650;
    line-height: 1.25;
    min-height: 2.6rem;
  }
</style>
