<script lang="ts">
  /** Parts of all thermostats on one list, and cable cut from whole rolls. */
  import type { Together } from '$core/plan/together';
  import { bagFor } from '$core/plan/tools';
  import { costText, partText } from '../moves/bands';
  import { byTheMetreText, deviceText, rollText } from './words';
  import { say } from '../words/manner.svelte';

  interface Props {
    together: Together;
  }

  let { together }: Props = $props();
  const pieces = $derived(together.parts.filter((part) => part.run === undefined));
  const devices = $derived(together.places.filter((place) => place.works));
</script>

<section class="sheet-of-paper p-4" aria-label="To buy">
  <h2 class="section-title mb-2">To buy, for all</h2>
  <ul class="list-disc pl-5">
    {#each devices as device (device.thermostat.id)}<li>{say(deviceText(device))}</li>{/each}
    {#each pieces as part (part.id)}<li>{say(partText(part))}</li>{/each}
  </ul>
  {#if together.cuts.rolls.length + together.cuts.byTheMetre.length > 0}
    <h3 class="mt-3 font-semibold">Cable, from whole rolls</h3>
    <ul class="list-disc pl-5" data-cuts>
      {#each together.cuts.rolls as roll, at (at)}<li>{say(rollText(roll))}</li>{/each}
      {#each together.cuts.byTheMetre as run (run.for)}<li>{say(byTheMetreText(run))}</li>{/each}
    </ul>
    {#if together.cuts.piecesFromRest}<p class="mt-1">
        Short pieces at the equipment come from what is left.
      </p>{/if}
  {/if}
  <p class="mt-3">
    Parts and cable {say(costText(together.cost))}, without the thermostats and without whoever is paid for
    mains work.
  </p>
  <h3 class="mt-3 font-semibold">In the bag</h3>
  <p>{bagFor(together.moves).join(', ')}</p>
</section>
