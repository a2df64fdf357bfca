<script lang="ts">
  /** What the user minds more or less than usual. Harm and lost functions are not to be weighed. */
  import type { Minds } from '$core/job/schema';
  import ChoiceField from '../fields/choice-field.svelte';
  import { getPlace } from '../state/context';
  import { setThermostat } from '../state/set';

  const place = getPlace();
  const minds = $derived(place.thermostat.minds);
  const degrees = [
    ['1', 'as usual'],
    ['2', 'much'],
    ['0', 'not at all']
  ] as const;
  const asked: readonly (readonly [keyof Minds, string])[] = [
    ['work', 'Work'],
    ['cost', 'Cost'],
    ['looks', 'Looks']
  ];

  function set(key: keyof Minds, value: string): void {
    const degree = value === '0' ? 0 : value === '2' ? 2 : 1;
    setThermostat(place, 'minds', { ...minds, [key]: degree }, 'what counts');
  }
</script>

<details class="sheet-of-paper p-3" open={minds.work !== 1 || minds.cost !== 1 || minds.looks !== 1}>
  <summary class="cursor-pointer font-semibold">What matters to you</summary>
  <p class="quiet my-2 text-sm">
    Changes the order of ways that harm nothing and lose nothing. Harm and lost functions always come first.
  </p>
  <div class="grid max-w-2xl grid-cols-3 gap-3">
    {#each asked as [key, name] (key)}
      <ChoiceField
        label={name}
        value={`${minds[key]}`}
        choices={degrees}
        onset={(value) => set(key, value)}
      />
    {/each}
  </div>
</details>
