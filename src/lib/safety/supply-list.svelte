<script lang="ts">
  /** Every supply that the record implies: how it was cut, and how that was proven. */
  import CircleCheck from '@lucide/svelte/icons/circle-check';
  import CircleDashed from '@lucide/svelte/icons/circle-dashed';
  import type { SupplyStanding } from '$core/safety/standing';
  import type { SupplyOff } from '$core/job/reading-schema';
  import { OFF_PROOFS } from '$core/job/reading-schema';
  import ChoiceField from '../fields/choice-field.svelte';
  import { getPlace } from '../state/context';
  import { setThermostat } from '../state/set';
  import { CUTS, PROOFS, timeText } from './words';

  const place = getPlace();

  function record(supplyStanding: SupplyStanding, change: Partial<SupplyOff>): void {
    const before = supplyStanding.record ?? {
      cut: supplyStanding.supply.cuts[0] ?? 'both',
      proof: 'none' as const,
      at: ''
    };
    const off = {
      ...place.thermostat.off,
      [supplyStanding.supply.id]: { ...before, ...change, at: new Date().toISOString() }
    };
    setThermostat(place, 'off', off, `Supply of ${supplyStanding.supply.name}`);
  }

  function clear(supplyStanding: SupplyStanding): void {
    const { [supplyStanding.supply.id]: _gone, ...rest } = place.thermostat.off;
    setThermostat(place, 'off', rest, `Supply of ${supplyStanding.supply.name}: on again`);
  }
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-1">Every supply, off and proven off</h2>
  <p class="quiet mb-2 text-sm">
    Proof is a machine that was running and stops, then a meter between R and C. A lit display is no sign of
    live, a dark one no sign of dead.
  </p>
  <ul class="flex flex-col">
    {#each place.safety.supplies as standing (standing.supply.id)}
      <li class="border-b border-base-300 py-3 last:border-none" data-supply={standing.supply.id}>
        <p class="flex items-center gap-2 font-semibold">
          {#if standing.off}<CircleCheck size={22} aria-hidden="true" />{:else}<CircleDashed
              size={22}
              aria-hidden="true"
            />{/if}
          {standing.supply.name}: {standing.off ? 'off' : 'not proven off'}
        </p>
        <p class="quiet text-sm">{standing.supply.why}; {standing.supply.where}.</p>
        <div class="mt-2 grid grid-cols-2 gap-3">
          <ChoiceField
            label="Cut"
            value={standing.record?.cut ?? standing.supply.cuts[0] ?? 'both'}
            choices={standing.supply.cuts.map((cut) => [cut, CUTS[cut]] as const)}
            onset={(value) => record(standing, { cut: value })}
          />
          <ChoiceField
            label="Proof"
            value={standing.record?.proof ?? 'none'}
            choices={OFF_PROOFS.map((proof) => [proof, PROOFS[proof]] as const)}
            onset={(value) => record(standing, { proof: value })}
          />
        </div>
        {#if standing.record}
          <p class="quiet mt-1 flex items-center justify-between text-sm">
            <span>{timeText(standing.record.at)}</span>
            <button type="button" class="btn btn-ghost btn-sm" onclick={() => clear(standing)}
              >It is on again</button
            >
          </p>
        {/if}
      </li>
    {/each}
  </ul>
</section>
