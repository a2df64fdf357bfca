import { ref } from '../../findings/refs';
import { stopFindings } from '../../safety/standing';
import { finding } from '../../findings/finding';
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
        ? [finding('warn', 'call-licensed-person', { what: 'leave' }, [ref.thermostat(thermostat.id)])]
        : [finding('note', 'keep-the-old', {}, [ref.thermostat(thermostat.id)])],
      loses: [{ what: 'no-connected' }],
      parts: [],
      extraMinutes: 0
    };
  }
};
