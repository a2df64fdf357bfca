/** What a finding about a device means for whoever buys it. */
import type { Finding, FindingCode } from '../findings/finding';

export const ASPECTS = ['damages', 'unsettled', 'lost', 'needs', 'cut', 'set', 'fits'] as const;
export type Aspect = (typeof ASPECTS)[number];

export const ASPECT_NAMES: Readonly<Record<Aspect, string>> = {
  damages: 'Can do harm, or cannot work',
  unsettled: 'Not settled yet',
  lost: 'Is lost',
  needs: 'Needs',
  cut: 'Has to be cut or taken out',
  set: 'Has to be set',
  fits: 'Good to know'
};

const byCode: Partial<Record<FindingCode, Aspect>> = {
  'voltage-class-unsettled': 'unsettled',
  'missing-terminal': 'lost',
  'too-few-stages': 'lost',
  'accessory-output': 'lost',
  'needs-common': 'needs',
  'supply-not-proven': 'needs',
  'link-must-suit-supplies': 'cut',
  'link-to-be-cut': 'cut',
  'set-up': 'set',
  'device-needs-no-common': 'fits'
};

/** A stop does harm or cannot work, whatever it is about. */
export function aspectOf(finding: Finding): Aspect {
  if (finding.level === 'stop') return 'damages';
  return byCode[finding.code] ?? (finding.level === 'note' ? 'fits' : 'unsettled');
}

export interface Grouped {
  readonly aspect: Aspect;
  readonly findings: readonly Finding[];
}

export function byAspect(findings: readonly Finding[]): Grouped[] {
  return ASPECTS.flatMap((aspect) => {
    const own = findings.filter((finding) => aspectOf(finding) === aspect);
    return own.length > 0 ? [{ aspect, findings: own }] : [];
  });
}
