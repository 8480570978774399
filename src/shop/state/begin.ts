import { standGuard } from "@/door/guard";
import { startShop } from "@/store/start-shop";
import { ShopTrouble } from "@/store/trouble";
import { backUpNightly } from "../backup/nightly";

/** Begins to serve the shop's folder, or ends the program with a sentence where another one does. */
export async function begin(): Promise<void> {
  try {
    standGuard();
    await startShop(process.env.DEMONTAGE_ADDRESS ?? `port ${process.env.PORT ?? "3000"}`);
    backUpNightly();
  } catch (e) {
    if (!(e instanceof ShopTrouble)) throw e;
    console.error(
      `\n  ${e.trouble.says.charAt(0).toUpperCase()}${e.trouble.says.slice(1)}. ${e.trouble.todo}\n`,
    );
    process.exit(1);
  }
}
