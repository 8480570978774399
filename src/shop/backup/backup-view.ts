import { statSync } from "node:fs";
import { backupsIn } from "@/store/backup";
import { dataFolder } from "@/store/database";
import { backupFolder, type LastBackup, shopSettings } from "@/store/settings";

export interface BackupView {
  readonly folder: string;
  readonly data: string;
  /** the back-ups lie on the disk that they are to save from */
  readonly sameDisk: boolean;
  readonly values: {
    readonly "backup.folder": string;
    readonly "backup.nightlyAt": string;
    readonly "backup.keep": number;
  };
  readonly last: LastBackup | null;
  readonly backups: readonly {
    readonly name: string;
    readonly at: string;
    readonly jobs: number;
    readonly pictures: number;
    readonly missing: number;
  }[];
}

const diskOf = (path: string): number | undefined => statSync(path, { throwIfNoEntry: false })?.dev;

/** What has been backed up, and where to. */
export async function backupView(): Promise<BackupView> {
  const settings = await shopSettings();
  const folder = backupFolder(settings);
  return {
    folder,
    data: dataFolder(),
    sameDisk: (diskOf(folder) ?? diskOf(dataFolder())) === diskOf(dataFolder()),
    values: {
      "backup.folder": settings.backup.folder,
      "backup.nightlyAt": String(settings.backup.nightlyAt ?? ""),
      "backup.keep": settings.backup.keep,
    },
    last: settings.lastBackup,
    backups: (await backupsIn(folder)).slice(0, 40).map(({ name, manifest }) => ({
      name,
      at: manifest.at,
      jobs: manifest.jobs,
      pictures: manifest.pictures,
      missing: manifest.missing.length,
    })),
  };
}
