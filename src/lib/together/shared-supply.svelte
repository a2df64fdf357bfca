<script lang="ts">
  /** One transformer that several thermostats hang on: what they draw together, and what would be enough. */
  import type { SharedSupply } from '$core/plan/shared-supply';
  import { callName } from '$core/trade/calls';
  import { getPlace } from '../state/context';
  import { setMachine } from '../state/set';
  import { money } from '../words/manner.svelte';

  interface Props {
    shared: SharedSupply;
  }

  let { shared }: Props = $props();
  const place = getPlace();
  const names = $derived(
    place.job.thermostats
      .filter((thermostat) => shared.thermostats.includes(thermostat.id))
      .map((thermostat) => thermostat.name)
  );
  const size = $derived(shared.plannedVa ?? shared.ratedVa);
  const va = (value: number | null) => (value === null ? 'not solved' : `${value.toFixed(1)} VA`);

  function savesWords({ minutes, dollars }: NonNullable<SharedSupply['exchangeSaves']>): string {
    const part = (value: number, text: (size: number) => string) =>
      `${text(Math.abs(Math.round(value)))} ${value >= 0 ? 'less' : 'more'}`;
    return `With it, the work would take ${part(minutes, (size) => `${size} minutes`)} and cost ${part(dollars, (size) => money(size))}, its own price and fitting in it.`;
  }

  function plan(wanted: number | null): void {
    setMachine(
      place,
      shared.machine,
      'plannedVa',
      wanted,
      wanted === null ? 'Keep the transformer' : `Transformer of ${wanted} VA`
    );
  }
</script>

<section class="sheet-of-paper p-4" aria-label="Transformer of {shared.name}" data-shared={shared.machine}>
  <h2 class="section-title">
    Transformer of {shared.name}, {size} VA{shared.plannedVa === null
      ? ''
      : ` (now ${shared.ratedVa} VA)`}{shared.assumed ? ', assumed' : ''}
  </h2>
  <p class="mb-2">
    Shared by {names.join(', ')}. What it gives when all of them call at once, out of the solved circuit.
  </p>
  {#if shared.assumed}<p class="mb-2">
      <b>Caution.</b> Nobody has read its size. Read the plate before you buy anything.
    </p>{/if}
  <div class="overflow-x-auto">
    <table class="table-sm table">
      <thead>
        <tr
          ><th scope="col">Call</th><th scope="col" class="text-right">Today</th><th
            scope="col"
            class="text-right">Afterwards</th
          ><th scope="col" class="text-right">Of its rating</th></tr
        >
      </thead>
      <tbody>
        {#each shared.rows as row (row.call)}
          <tr data-over={row.share > 1}
            ><th scope="row" class="font-normal">{callName(row.call)}</th>
            <td class="text-right">{va(row.before)}</td>
            <td class="text-right">{va(row.after)}</td>
            <td class="text-right font-semibold"
              >{Math.round(100 * row.share)} %{row.share > 1 ? ': too much' : ''}</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
  </div>
  {#if shared.overloaded}
    <p class="mt-3" role="status">
      <b>Stop.</b> Together they ask for more than it gives, though each alone would do: every wired way is
      closed until that is settled.
      {#if shared.enough === null}No transformer that Class 2 allows would carry them all: one of them needs a
        supply of its own.{:else}One of {shared.enough} VA would carry them all.{/if}
    </p>
  {/if}
  {#if shared.tooSmallForAll && !shared.overloaded}
    <p class="mt-3" role="status">
      It would not carry all of them wired to it. As planned above, some have a supply of their own instead{shared.enough ===
      null
        ? '.'
        : `; or one of ${shared.enough} VA carries them all.`}{#if shared.exchangeSaves}
        {savesWords(shared.exchangeSaves)}{/if}
    </p>
  {/if}
  <div class="no-print mt-3 flex flex-wrap gap-2">
    {#if shared.enough !== null}<button
        type="button"
        class="btn btn-primary"
        onclick={() => plan(shared.enough)}>Plan with one of {shared.enough} VA</button
      >{/if}
    {#if shared.plannedVa !== null}<button type="button" class="btn btn-outline" onclick={() => plan(null)}
        >Keep the {shared.ratedVa} VA</button
      >{/if}
  </div>
  {#if shared.plannedVa !== null || shared.enough !== null}<p class="quiet mt-2 text-sm">
      The other side of a transformer is mains: a licensed person puts it in.
    </p>{/if}
</section>

<style>
  tr[data-over='true'] {
    background: color-mix(in oklab, var(--color-base-content) 8%, transparent);
  }
</style>
