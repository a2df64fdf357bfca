<script lang="ts">
  /** A short text. */
  interface Props {
    label: string;
    value: string;
    placeholder?: string;
    onset: (value: string) => void;
  }

  let { label, value, placeholder = '', onset }: Props = $props();
</script>

<label class="flex flex-col gap-1 text-sm"
  ><span>{label}</span>
  <input
    class="input w-full"
    maxlength="120"
    {placeholder}
    {value}
    onchange={(event) => onset(event.currentTarget.value.trim())}
  />
</label>
