<script lang="ts">
  /** A number with its unit as the job shows it; what is typed is checked and told, and kept in metric. */
  import { fromShown, toShown, unitName, type Quantity } from '$core/trade/units';
  import { getPlace } from '../state/context';
  import { keepTyped } from './keep-typed';

  interface Props {
    label: string;
    value: number | null;
    quantity?: Quantity;
    /** Further unit for plain numbers, such as kW. */
    unit?: string;
    least: number;
    most: number;
    digits?: number;
    whole?: boolean;
    onset: (value: number | null) => void;
    /** Whether it may be left empty. */
    optional?: boolean;
  }

  let {
    label,
    value,
    quantity = 'plain',
    unit = '',
    least,
    most,
    digits = 1,
    whole = false,
    onset,
    optional = true
  }: Props = $props();
  const place = getPlace();
  const units = $derived(place.job.units);
  const shown = $derived(
    value === null ? '' : String(Number(toShown(value, quantity, units).toFixed(digits)))
  );
  let trouble = $state('');
  /** What stands in the field while it is typed in. */
  let draft: string | null = $state(null);
  let typing = {};

  function take(text: string, goesOn: boolean): void {
    const read = readIn(text.trim().replace(',', '.'));
    // Half of a number is nothing to complain of.
    if (goesOn && (read === undefined || read === null)) return;
    trouble = read === undefined ? limits() : '';
    if (read !== undefined && read !== value) place.session.typed(typing, () => onset(read));
    if (goesOn) return;
    draft = trouble ? draft : null;
    typing = {};
  }

  /** The number that the text says, null for none; undefined where it cannot be. */
  function readIn(text: string): number | null | undefined {
    if (text === '') return optional ? null : undefined;
    if (text === shown) return value;
    const read = fromShown(Number(text), quantity, units);
    const holds = Number.isFinite(read) && read >= least && read <= most;
    return holds && (!whole || Number.isInteger(read)) ? read : undefined;
  }

  function limits(): string {
    const limit = (metric: number) => Number(toShown(metric, quantity, units).toFixed(1));
    return `${whole ? 'A whole number' : 'A number'} from ${limit(least)} to ${limit(most)}`;
  }
</script>

<label class="flex flex-col gap-1 text-sm"
  ><span>{label}{unit || quantity !== 'plain' ? `, ${unit || unitName(quantity, units)}` : ''}</span>
  <input
    class="input w-full"
    inputmode="decimal"
    placeholder={optional ? 'not known' : ''}
    value={draft ?? shown}
    aria-invalid={trouble !== ''}
    oninput={(event) => (draft = event.currentTarget.value)}
    {@attach keepTyped(take)}
  />
  {#if trouble}<span role="alert">{trouble}; nothing was changed.</span>{/if}
</label>
