<!-- What the service worker answers every address with: the application without a page, which then finds its own by the address. -->
<svelte:head><title>Ulterum</title></svelte:head>
