<script lang="ts">
  /** A simulated meter with two probes, for any two terminals. */
  import { commonNode } from '$core/devices/boards/board';
  import { printedMark } from '$core/wiring/graph';
  import {
    looseEnds,
    readMeter,
    type MeterMode,
    type MeterReading,
    type ProbePoint
  } from '$core/session/meter-reading';
  import type { Bench, Powered } from './bench.svelte';

  const WIRE = 'wire:';

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
  const loose = $derived(
    looseEnds(powered.wiring).map(({ strand, end }) => ({
      id: `${WIRE}${strand.id}:${end}`,
      name: `${strand.name} wire, loose at ${end === 'near' ? 'the wall' : 'the equipment'}`
    }))
  );
  let mode = $state<MeterMode>('high');
  const reading = $derived.by((): MeterReading | null => {
    const [first, other] = bench.probes;
    if (first === null || other === null) return null;
    const metered = { wiring: powered.wiring, meter: powered.seen.meter };
    return readMeter(metered, [pointOf(first), pointOf(other)], mode);
  });

  /** A probe is kept as the id of a screw, or as a wire with its end. */
  function pointOf(probe: string): ProbePoint {
    if (!probe.startsWith(WIRE)) return { on: 'screw', terminal: probe };
    const [strand = '', end] = probe.slice(WIRE.length).split(':');
    return { on: 'wire', strand, end: end === 'far' ? 'far' : 'near' };
  }

  function set(at: 0 | 1, terminal: string): void {
    const next: [string | null, string | null] = [...bench.probes];
    next[at] = terminal === '' ? null : terminal;
    bench.probes = next;
  }
</script>

<section class="sheet-of-paper p-4" aria-label="Simulated meter">
  <h2 class="section-title mb-1">Meter <span class="quiet text-sm font-normal">simulated, AC volts</span></h2>
  <p class="reading" aria-live="polite" data-reading>
    {#if reading === null}Put both probes on something.{:else if reading.volts === null}No defined voltage:
      nothing joins the two.{:else}{reading.volts.toFixed(1)} V{#if reading.phantom}<span
          class="ml-2 text-base font-semibold">{reading.volts < 0.5 ? 'no phantom left' : 'phantom'}</span
        >{/if}{/if}
  </p>
  {#if reading?.phantom}<p class="quiet mb-2 text-sm">
      Picked up from the wires beside it, with nothing behind it. Low impedance takes it away.
    </p>{/if}
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
          {#if loose.length > 0}
            <optgroup label="Wires on nothing">
              {#each loose as end (end.id)}<option value={end.id}>{end.name}</option>{/each}
            </optgroup>
          {/if}
        </select>
      </label>
    {/each}
  </div>
  <label class="mt-3 flex items-center gap-2 text-sm">
    <input
      type="checkbox"
      class="checkbox"
      checked={mode === 'low'}
      onchange={(event) => (mode = event.currentTarget.checked ? 'low' : 'high')}
    /> Low impedance (a small load on the probes)
  </label>
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
