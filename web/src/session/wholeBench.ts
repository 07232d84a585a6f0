import { localDay, success, type Outcome } from '@junctura/core/measure';
import { BACKUP_EXTENSION, packBench, unpackBench, type Backup } from '../keeping/backup.ts';
import { saveFile } from '../keeping/files.ts';
import { merging, previewRestore, replacing, type RestorePreview } from '../keeping/restore.ts';
import { WholeBench } from '../keeping/wholeBench.ts';
import { useKeeper } from './keeper.ts';
import { useSettings } from './settings.ts';
import { useThreadBox } from './threadBox.ts';

/** How a backup is restored: put together with what is here, or in place of it. */
export type RestoreWay = 'merge' | 'replace';

/** A backup that was read, with what restoring it would do. */
export interface ReadBackup {
  readonly backup: Backup;
  readonly preview: RestorePreview;
}

/** Takes back what was restored. */
export type TakeBack = () => Promise<Outcome<void>>;

/** The bench as a whole: saved to one file, and restored from one. */
export function useWholeBench(): {
  save: () => Promise<Outcome<{ readonly bytes: number }>>;
  read: (file: Blob) => Promise<Outcome<ReadBackup>>;
  restore: (backup: Backup, way: RestoreWay) => Promise<Outcome<TakeBack>>;
} {
  const [keeper, threads, settings] = [useKeeper(), useThreadBox(), useSettings()];
  const bench = new WholeBench(() => Date.now());

  /** What is stored, with all that still waited to be. */
  async function content(): ReturnType<WholeBench['read']> {
    await Promise.all([keeper.flush(), threads.flush()]);
    return bench.read();
  }

  async function save(): Promise<Outcome<{ readonly bytes: number }>> {
    const here = await content();
    if (!here.ok) return here;
    const now = new Date();
    const packed = await packBench(here.value, settings.all, now.toISOString());
    if (!packed.ok) return packed;
    saveFile(`bench-${localDay(now)}${BACKUP_EXTENSION}`, packed.value, 'application/zip');
    return success({ bytes: packed.value.length });
  }

  async function read(file: Blob): Promise<Outcome<ReadBackup>> {
    const [backup, here] = await Promise.all([
      file.arrayBuffer().then((bytes) => unpackBench(new Uint8Array(bytes))),
      content(),
    ]);
    if (!backup.ok) return backup;
    return here.ok ? success({ backup: backup.value, preview: previewRestore(backup.value, here.value) }) : here;
  }

  async function restore(backup: Backup, way: RestoreWay): Promise<Outcome<TakeBack>> {
    const before = await content();
    if (!before.ok) return before;
    const settingsBefore = settings.all;
    const done = await (way === 'merge'
      ? bench.add(merging(backup, before.value))
      : bench.replace(replacing(backup, before.value)));
    if (!done.ok) return done;
    if (way === 'replace' && backup.settings !== undefined) settings.takeAll(backup.settings);
    await seeAnew();
    return success(async () => {
      const back = await bench.replace(before.value);
      if (!back.ok) return back;
      settings.takeAll(settingsBefore);
      await seeAnew();
      return success(undefined);
    });
  }

  async function seeAnew(): Promise<void> {
    keeper.close();
    await threads.reload();
  }

  return { save, read, restore };
}
