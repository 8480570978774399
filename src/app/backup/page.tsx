import { BackupScreen } from "@/shop/backup/backup-screen";
import { backupView } from "@/shop/backup/backup-view";

export const dynamic = "force-dynamic";

export default async function Page() {
  return <BackupScreen {...(await backupView())} />;
}
