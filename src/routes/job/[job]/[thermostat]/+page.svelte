<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';

  onMount(() => void goto(`${page.url.pathname.replace(/\/$/, '')}/sheet`, { replaceState: true }));
</script>

<svelte:head><title>Wires · Ulterum</title></svelte:head>
