import { stopFindings } from '../../safety/standing';
import { finding } from '../../trade/findings';
import type { Method } from '../types';

/** Leave it. Always open, and the only way where anything could hurt. */
export const none: Method = {
  id: 'none',
  title: 'Leave it as it is',
  how: 'The old thermostat stays, or somebody licensed takes over.',
  standing: 'left',
  offer({ found, identification, thermostat }) {
    const licensed =
      stopFindings(thermostat).length > 0 || identification.findings.some((one) => one.level === 'stop');
    return {
      after: found,
      findings: licensed
        ? [
            finding(
              'warn',
              'call-licensed-person',
              'Leave the wires alone and have a licensed person look at it.',
              [thermostat.id]
            )
          ]
        : [
            finding('note', 'keep-the-old', 'The old thermostat goes on working as it does today.', [
              thermostat.id
            ])
          ],
      loses: [{ text: 'no connected thermostat' }],
      parts: [],
      extraMinutes: 0
    };
  }
};
