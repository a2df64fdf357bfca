<script lang="ts">
  /** A judgement that opens its reasons. */
  import type { Snippet } from 'svelte';
  import Dialog from '../frame/dialog.svelte';

  interface Props {
    title: string;
    children: Snippet;
    reasons: Snippet;
    class?: string;
    label?: string;
  }

  let { title, children, reasons, class: klass = '', label }: Props = $props();
  let open = $state(false);
</script>

<button type="button" class={klass} aria-haspopup="dialog" aria-label={label} onclick={() => (open = true)}
  >{@render children()}</button
>
<Dialog {open} {title} wide onclose={() => (open = false)}>{@render reasons()}</Dialog>
