<script lang="ts">
  /** A modal dialog on the platform's own element: it keeps the focus, closes on Escape and gives the focus back. */
  import type { Snippet } from 'svelte';
  import X from '@lucide/svelte/icons/x';

  interface Props {
    open: boolean;
    title: string;
    wide?: boolean;
    onclose: () => void;
    children: Snippet;
  }

  let { open, title, wide = false, onclose, children }: Props = $props();
  let element: HTMLDialogElement | undefined = $state();

  $effect(() => {
    if (open && element && !element.open) element.showModal();
    if (!open && element?.open) element.close();
  });

  /** Whoever opened it closes it: by itself it would be shut before that is known, and what is opened in between would be lost. */
  function cancel(event: Event): void {
    // A picker of files in it that is left says so here as well.
    if (event.target !== element) return;
    event.preventDefault();
    onclose();
  }

  /** A browser may shut it nevertheless. Word of that comes late: it may be open for something else by then. */
  function shut(): void {
    if (open && !element?.open) onclose();
  }
</script>

<dialog
  bind:this={element}
  class="modal modal-bottom sm:modal-middle no-print"
  aria-label={title}
  oncancel={cancel}
  onclose={shut}
>
  {#if open}
    <div class="modal-box p-4 sm:p-6" class:sm:max-w-3xl={wide}>
      <div class="mb-3 flex items-start justify-between gap-4">
        <h2 class="section-title pt-1">{title}</h2>
        <button type="button" class="btn btn-ghost btn-square btn-sm" aria-label="Close" onclick={onclose}
          ><X size={20} /></button
        >
      </div>
      {@render children()}
    </div>
  {/if}
  <div class="modal-backdrop">
    <button type="button" tabindex="-1" aria-hidden="true" onclick={onclose}>close</button>
  </div>
</dialog>
