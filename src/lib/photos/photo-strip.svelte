<script lang="ts">
  /** Photos of one place, and the way to take another. */
  import Camera from '@lucide/svelte/icons/camera';
  import { makeId, type EquipmentId } from '$core/job/ids';
  import type { Photo } from '$core/job/reading-schema';
  import { getPlace } from '../state/context';
  import { setThermostat } from '../state/set';
  import { freshRest, jobStore } from '../state/store';
  import Thumb from './thumb.svelte';

  interface Props {
    of: Photo['of'];
    equipment?: EquipmentId | null;
    label: string;
    ontaken?: (id: Photo['id']) => void;
  }

  let { of, equipment = null, label, ontaken }: Props = $props();
  const place = getPlace();
  const photos = $derived(
    place.thermostat.photos.filter((photo) => photo.of === of && photo.equipment === equipment)
  );
  let trouble = $state('');
  let busy = $state(false);

  async function take(event: Event): Promise<void> {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    busy = true;
    const { takePicture } = await import('./take');
    const taken = await takePicture(file);
    busy = false;
    if (!taken.ok) {
      trouble = taken.why;
      return;
    }
    const id = makeId('photo', freshRest());
    const kept = await jobStore().putPhoto(place.job.id, id, taken.picture);
    trouble = kept.ok ? '' : `The picture was not kept: ${kept.why}. Free some room and take it again.`;
    if (!kept.ok) return;
    const photo: Photo = {
      id,
      of,
      equipment,
      caption: '',
      takenAt: new Date().toISOString(),
      widthPx: taken.widthPx,
      heightPx: taken.heightPx,
      pins: []
    };
    setThermostat(place, 'photos', [...place.thermostat.photos, photo], `Photo: ${label}`);
    ontaken?.(id);
  }
</script>

<div class="flex flex-wrap items-stretch gap-2">
  {#each photos as photo (photo.id)}<Thumb {photo} />{/each}
  <label class="btn btn-outline h-auto min-h-12 {photos.length > 0 ? 'w-28 flex-col text-sm' : ''}">
    <Camera size={20} aria-hidden="true" />{busy ? 'One moment …' : label}
    <input
      class="sr-only"
      type="file"
      accept="image/*"
      capture="environment"
      disabled={busy}
      onchange={take}
    />
  </label>
</div>
{#if trouble}<p class="mt-1 text-sm" role="alert">{trouble}</p>{/if}
