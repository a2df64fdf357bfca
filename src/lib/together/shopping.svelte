<script lang="ts">
  /** Parts of all thermostats on one list, and cable cut from whole rolls. */
  import { deviceName } from '$core/match/catalogue';
  import type { Together } from '$core/plan/together';
  import { bagFor } from '$core/plan/tools';
  import { costText } from '../moves/bands';

  interface Props {
    together: Together;
  }

  let { together }: Props = $props();
  const pieces = $derived(together.parts.filter((one) => one.run === undefined));
  const devices = $derived(together.places.filter((one) => one.works));
</script>

<section class="sheet-of-paper p-4" aria-label="To buy">
  <h2 class="section-title mb-2">To buy, for all</h2>
  <ul class="list-disc pl-5">
    {#each devices as one (one.thermostat.id)}<li>
        {deviceName(one.device)}, for {one.thermostat.name}{one.device.price === null
          ? ''
          : `, $${one.device.price}`}
      </li>{/each}
    {#each pieces as part (part.id)}<li>
        {part.quantity}
        {part.unit}: {part.name}, about ${part.cost}
      </li>{/each}
  </ul>
  {#if together.cuts.rolls.length + together.cuts.byTheMetre.length > 0}
    <h3 class="mt-3 font-semibold">Cable, from whole rolls</h3>
    <ul class="list-disc pl-5" data-cuts>
      {#each together.cuts.rolls as roll, at (at)}<li>
          {roll.conductors}
          {roll.conductors === 1 ? 'conductor' : 'conductors'}, {roll.gauge} AWG, a roll of {roll.lengthM} m, about
          ${roll.cost}: cut {roll.runs.map((one) => `${one.lengthM} m for ${one.for}`).join(', ')}; {roll.restM}
          m are left
        </li>{/each}
      {#each together.cuts.byTheMetre as run (run.for)}<li>
          {run.conductors} conductors, {run.lengthM} m for {run.for}: longer than any roll, by the metre
        </li>{/each}
    </ul>
    {#if together.cuts.piecesFromRest}<p class="mt-1">
        Short pieces at the equipment come from what is left.
      </p>{/if}
  {/if}
  <p class="mt-3">
    Parts and cable {costText(together.cost)}, without the thermostats and without whoever is paid for mains
    work.
  </p>
  <h3 class="mt-3 font-semibold">In the bag</h3>
  <p>{bagFor(together.moves).join(', ')}</p>
</section>
