<script lang="ts">
  /** The beginning of a record: the letters that carry a wire. */
  import { NOTHING_SEEN, recordLetters, type QuickLook } from '$core/survey/quick-look';
  import Letters from '../home/letters.svelte';
  import { getPlace } from '../state/context';
  import { say } from '../words/manner.svelte';

  const place = getPlace();
  let look = $state.raw<QuickLook>(NOTHING_SEEN);
</script>

<p class="mb-3">
  {say('Photograph the plate first. Then touch what you see; colours and other ends come after.')}
</p>
<Letters bind:look />
<button
  type="button"
  class="btn btn-primary mt-3"
  disabled={look.letters.length === 0 && !look.coiled}
  onclick={() => place.session.edit(recordLetters(place.job, place.thermostat, look))}
  >Record these wires</button
>
<p class="quiet mt-4 text-sm">Or begin with the cable, and count every wire in its sheath.</p>
