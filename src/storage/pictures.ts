/** Pictures beside the jobs that show them, as bytes and type apart: some browsers keep no blobs in their database. */
import type { PhotoId } from '$core/job/ids';
import { pictureKey } from './port';

interface Kept {
  readonly type: string;
  readonly bytes: ArrayBuffer;
}

export class Pictures {
  constructor(private readonly forage: LocalForage) {}

  async put(job: string, id: PhotoId, picture: Blob): Promise<void> {
    const kept: Kept = { type: picture.type, bytes: await picture.arrayBuffer() };
    await this.forage.setItem(pictureKey(job, id), kept);
  }

  /** A picture that an earlier version kept lies under the id of its photo alone. */
  async get(job: string, id: PhotoId): Promise<Blob | null> {
    const kept = (await this.read(pictureKey(job, id))) ?? (await this.read(id));
    return kept === null ? null : new Blob([kept.bytes], { type: kept.type });
  }

  /** Removes all pictures of a job, and these of an earlier version. */
  async remove(job: string, old: readonly PhotoId[]): Promise<void> {
    const own = (await this.forage.keys()).filter((key) => key.startsWith(pictureKey(job, '' as PhotoId)));
    for (const key of [...own, ...old]) await this.forage.removeItem(key);
  }

  /** Whether an earlier version has left any. */
  async hasOld(): Promise<boolean> {
    return (await this.forage.keys()).some((key) => !key.includes('/'));
  }

  private read(key: string): Promise<Kept | null> {
    return this.forage.getItem<Kept>(key).catch(() => null);
  }
}
