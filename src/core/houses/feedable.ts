/** What the plan says of a house in which nothing stands in the way of feeding a thermostat. */
import type { SupplyOutlook } from '../survey/types';

export const FEEDABLE: SupplyOutlook = {
  harms: [],
  feedable: true,
  tooMuchTogether: false,
  hangsOnDevice: false,
  open: [],
  unfit: []
};
