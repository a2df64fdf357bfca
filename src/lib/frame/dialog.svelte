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
</script>

<dialog bind:this={element} class="modal modal-bottom sm:modal-middle no-print" aria-label={title} {onclose}>
  {#if open}
    <div class="modal-box p-4 sm:p-6" class:sm:max-w-3xl={wide}>
      <div class="mb-3 flex items-start justify-between gap-4">
        <h2 class="section-title pt-1">{title}</h2>
        <button
          type="button"
          class="btn btn-ghost btn-square btn-sm"
          aria-label="Close"
          onclick={() => element?.close()}><X size={20} /></button
        >
      </div>
      {@render children()}
    </div>
  {/if}
  <form method="dialog" class="modal-backdrop"><button tabindex="-1" aria-hidden="true">close</button></form>
</dialog>
