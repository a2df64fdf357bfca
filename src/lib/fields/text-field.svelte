<script lang="ts">
  /** A short text. */
  import { SHORT_TEXT } from '$core/job/primitives';
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
    maxlength={SHORT_TEXT}
    {placeholder}
    {value}
    onchange={(event) => onset(event.currentTarget.value.trim())}
  />
</label>
