<script lang="ts" generics="T extends string">
  /** One of a few words. */
  interface Props {
    label: string;
    value: T;
    choices: readonly (readonly [value: T, text: string])[];
    /** Further ones, under a heading of their own. */
    group?: { readonly name: string; readonly choices: readonly (readonly [value: T, text: string])[] };
    /** Of the field: small where it stands among others. */
    small?: boolean;
    onset: (value: T) => void;
  }

  let { label, value, choices, group, small = false, onset }: Props = $props();
</script>

<label class="flex flex-col gap-1 text-sm"
  ><span>{label}</span>
  <select
    class={['select h-auto w-full py-1.5 pe-8 whitespace-normal', small ? 'select-sm min-h-8' : 'min-h-10']}
    {value}
    onchange={(event) => onset(event.currentTarget.value as T)}
  >
    {#each choices as [code, text] (code)}<option value={code}>{text}</option>{/each}
    {#if group}
      <optgroup label={group.name}>
        {#each group.choices as [code, text] (code)}<option value={code}>{text}</option>{/each}
      </optgroup>
    {/if}
  </select>
</label>
