<script lang="ts">
  /** A short text; what is typed is kept as it is typed. */
  import { SHORT_TEXT } from '$core/job/primitives';
  import { getPlace } from '../state/context';
  import { keepTyped } from './keep-typed';

  interface Props {
    label: string;
    value: string;
    placeholder?: string;
    /** Most characters. */
    most?: number;
    /** Of the field: small where it stands among others. */
    small?: boolean;
    onset: (value: string) => void;
  }

  let { label, value, placeholder = '', most = SHORT_TEXT, small = false, onset }: Props = $props();
  const place = getPlace();
  /** What stands in the field while it is typed in: a blank at its end is none of the job's. */
  let draft: string | null = $state(null);
  let typing = {};

  function take(text: string, goesOn: boolean): void {
    const next = text.trim();
    if (next !== value) place.session.typed(typing, () => onset(next));
    if (goesOn) return;
    draft = null;
    typing = {};
  }
</script>

<label class="flex flex-col gap-1 text-sm"
  ><span>{label}</span>
  <input
    class={['input w-full', small && 'input-sm']}
    maxlength={most}
    {placeholder}
    value={draft ?? value}
    oninput={(event) => (draft = event.currentTarget.value)}
    {@attach keepTyped(take)}
  />
</label>
