<script lang="ts">
  /** Registration code and hardware address: for the owner alone, and left out of all that leaves the device. */
  import { setPrivate } from '$core/job/after-edits';
  import type { PhotoId } from '$core/job/ids';
  import TextField from '../fields/text-field.svelte';
  import PhotoStrip from '../photos/photo-strip.svelte';
  import { getPlace } from '../state/context';

  const place = getPlace();
  const own = $derived(place.thermostat.private);
  const keep = (changed: Partial<typeof own>) =>
    void place.session.edit(setPrivate(place.job, place.thermostat.id, { ...own, ...changed }));

  function toggle(id: PhotoId): void {
    keep({
      photos: own.photos.includes(id) ? own.photos.filter((other) => other !== id) : [...own.photos, id]
    });
  }
</script>

<div class="grid gap-3 sm:grid-cols-2">
  <TextField
    label="Registration code"
    value={own.registration}
    onset={(registration) => keep({ registration })}
  />
  <TextField
    label="Hardware address"
    value={own.hardwareAddress}
    onset={(hardwareAddress) => keep({ hardwareAddress })}
  />
</div>
<div class="mt-3">
  <PhotoStrip of="other" label="Photo of the code" ontaken={(id) => keep({ photos: [...own.photos, id] })} />
</div>
{#if place.thermostat.photos.length > 0}
  <fieldset class="mt-3">
    <legend class="text-sm">Photos that show them</legend>
    {#each place.thermostat.photos as photo (photo.id)}
      <label class="flex min-h-10 items-center gap-2">
        <input
          type="checkbox"
          class="checkbox"
          checked={own.photos.includes(photo.id)}
          onchange={() => toggle(photo.id)}
        />
        {photo.caption === '' ? `Photo of ${photo.of}` : photo.caption}
      </label>
    {/each}
  </fieldset>
{/if}
<p class="quiet mt-2 text-sm">
  For you alone: they stay on this device, and out of every file, print and code, unless you say so each time.
</p>
