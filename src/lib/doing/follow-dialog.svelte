<script lang="ts">
  /** A code for a second phone: whoever stands at the other end sees the same steps. */
  import { renderSVG } from 'uqr';
  import { MOST_LINK_CHARACTERS, writeJobLink } from '$core/formats/job-link';
  import Dialog from '../frame/dialog.svelte';
  import { getPlace } from '../state/context';

  interface Props {
    open: boolean;
    onclose: () => void;
  }

  let { open, onclose }: Props = $props();
  const place = getPlace();
  const packed = $derived(writeJobLink(place.job, place.thermostat));
  const address = $derived(`${location.origin}/follow#${packed}`);
  const fits = $derived(packed.length <= MOST_LINK_CHARACTERS);
  let copied = $state(false);

  async function copy(): Promise<void> {
    copied = await navigator.clipboard.writeText(address).then(
      () => true,
      () => false
    );
  }
</script>

<Dialog {open} title="On another phone" {onclose}>
  {#if fits}
    <p>Scan this with the other phone. It opens the steps as they stand now.</p>
    <div class="code mt-3" role="img" aria-label="Code with the address of these steps">
      <!-- eslint-disable-next-line svelte/no-at-html-tags -- a drawing of squares, made here -->
      {@html renderSVG(address, { ecc: 'L', border: 2 })}
    </div>
  {:else}
    <p>This job is too large for one code. Send the address instead, or the file of the job.</p>
  {/if}
  <div class="mt-3 flex flex-wrap items-center gap-2">
    <button type="button" class="btn btn-outline" onclick={copy}>Copy the address</button>
    {#if copied}<span role="status">Copied.</span>{/if}
  </div>
  <p class="quiet mt-2 text-sm">
    The job is in the address itself, after the #. It goes to no server; photos and the survey stay here. The
    other phone needs to reach this page: the same network, or the application opened there before.
  </p>
</Dialog>

<style>
  .code {
    background: #fff;
    padding: 0.5rem;
    border-radius: 0.5rem;
  }

  .code :global(svg) {
    display: block;
    width: 100%;
    height: auto;
  }
</style>
