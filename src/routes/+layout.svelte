<script lang="ts">
  import '@fontsource-variable/atkinson-hyperlegible-next';
  import '@fontsource/dejavu-sans/latin-400.css';
  import '@fontsource/dejavu-sans/latin-700.css';
  import '../app.css';
  import { onMount, type Snippet } from 'svelte';
  import NewerVersion from '$lib/frame/newer-version.svelte';

  let { children }: { children: Snippet } = $props();

  // Tests and slow phones wait for this before they touch anything.
  onMount(() => {
    document.documentElement.dataset['ready'] = 'yes';
  });
</script>

{@render children()}
<NewerVersion />
