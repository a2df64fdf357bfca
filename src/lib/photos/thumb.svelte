<script lang="ts">
  /** One photo, small, as the way to it. */
  import type { Photo } from '$core/job/reading-schema';
  import { counted } from '$core/words/text';
  import { getPlace } from '../state/context';
  import { Picture } from './picture.svelte';
  import { photoName } from './words';

  interface Props {
    photo: Photo;
  }

  let { photo }: Props = $props();
  const place = getPlace();
  const picture = new Picture(
    () => place.job.id,
    () => photo.id
  );
</script>

<a
  class="block w-28 flex-none overflow-hidden rounded border border-base-300"
  href="/job/{place.job.id}/{place.thermostat.id}/photo/{photo.id}"
>
  <span class="grid h-20 place-items-center bg-base-200">
    {#if picture.address}<img
        src={picture.address}
        alt=""
        class="h-20 w-28 object-cover"
      />{:else if picture.missing}<span class="px-1 text-center text-xs">kept in another browser</span>{/if}
  </span>
  <span class="block truncate px-1.5 py-1 text-sm"
    >{photoName(photo)}{photo.pins.length > 0 ? ` · ${counted(photo.pins.length, 'pin', 'pins')}` : ''}</span
  >
</a>
