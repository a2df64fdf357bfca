<script lang="ts">
  /** Light for the table, dark for the cellar; kept for the next time. */
  import Moon from '@lucide/svelte/icons/moon';
  import Sun from '@lucide/svelte/icons/sun';
  import { onMount } from 'svelte';

  let dark = $state(false);

  onMount(() => {
    dark = document.documentElement.dataset['theme'] === 'cellar';
  });

  function toggle(): void {
    dark = !dark;
    const theme = dark ? 'cellar' : 'paper';
    document.documentElement.dataset['theme'] = theme;
    try {
      localStorage.setItem('ulterum-theme', theme);
    } catch {
      // The browser keeps nothing: the theme holds until the page is closed.
    }
  }
</script>

<button
  type="button"
  class="btn btn-ghost btn-square"
  aria-label={dark ? 'Light theme, for the table' : 'Dark theme, for the cellar'}
  title={dark ? 'Light theme' : 'Dark theme'}
  onclick={toggle}
>
  {#if dark}<Sun size={20} />{:else}<Moon size={20} />{/if}
</button>
