<script lang="ts">
  /** The cautions that belong where the hands are. */
  import OctagonAlert from '@lucide/svelte/icons/octagon-alert';

  interface Props {
    at: 'reading' | 'moving';
  }

  let { at }: Props = $props();
  const proof =
    'The machine was running and stops; then a meter. A lit display proves nothing: it may run on batteries.';
</script>

<aside class="sheet-of-paper flex gap-3 px-4 py-3" aria-label="Before you touch anything">
  <span class="mt-0.5 flex-none"><OctagonAlert size={22} aria-hidden="true" /></span>
  <div>
    <p>
      <b>Every supply off, and proven off, before a cover comes off.</b>&#32;<span class="hidden sm:inline"
        >{proof}</span
      >
    </p>
    <details class="mt-1" open={at === 'moving'}>
      <summary class="cursor-pointer font-semibold">Stops: when to call a licensed person</summary>
      <p class="mt-1 sm:hidden">{proof}</p>
      <ul class="mt-1 list-disc pl-5">
        <li>Thick wires, wire nuts, marks such as L1, LINE or 240: mains</li>
        <li>The smell of gas, a carbon monoxide alarm, signs of heat or arcing</li>
        <li>A voltage that nobody knows; wires marked 1 2 3 4 or A B: data</li>
        <li>A boiler safety control that you would have to bypass</li>
      </ul>
      <p class="mt-1">
        An old thermostat with a glass bulb holds mercury: keep it level and whole, and take it to the proper
        collection point.
      </p>
    </details>
    {#if at === 'moving'}<p class="mt-1">
        Local code and the maker’s sheet win over this list. It can be wrong: the checks at the end are not
        optional.
      </p>{/if}
  </div>
</aside>
