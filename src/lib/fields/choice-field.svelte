<script lang="ts" generics="T extends string">
  /** One of a few words. */
  interface Props {
    label: string;
    value: T;
    choices: readonly (readonly [value: T, text: string])[];
    onset: (value: T) => void;
  }

  let { label, value, choices, onset }: Props = $props();
</script>

<label class="flex flex-col gap-1 text-sm"
  ><span>{label}</span>
  <select class="select w-full" {value} onchange={(event) => onset(event.currentTarget.value as T)}>
    {#each choices as [one, text] (one)}<option value={one}>{text}</option>{/each}
  </select>
</label>
