/** The address under which a stored picture can be shown; let go when it is no longer. */
import type { PhotoId } from '$core/job/ids';
import { jobStore } from '../state/store';

export class Picture {
  address = $state<string | null>(null);
  missing = $state(false);

  constructor(job: () => string, id: () => PhotoId) {
    $effect(() => {
      const [of, wanted] = [job(), id()];
      let open = true;
      let own: string | null = null;
      this.missing = false;
      void jobStore()
        .getPhoto(of, wanted)
        .catch(() => null)
        .then((picture) => {
          if (!open) return;
          this.missing = picture === null;
          own = picture ? URL.createObjectURL(picture) : null;
          this.address = own;
        });
      return () => {
        open = false;
        if (own) URL.revokeObjectURL(own);
        this.address = null;
      };
    });
  }
}
