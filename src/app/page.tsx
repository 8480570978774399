import { format } from "date-fns";
import { roleSays } from "@/core/door/role";
import { whoAsks } from "@/door/who";
import { Board } from "@/shop/board/board";
import { boardView } from "@/shop/board/board-view";
import { takeInUnit } from "@/stages/take-in/actions";

export const dynamic = "force-dynamic";

export default async function Page() {
  const { name, role } = await whoAsks();
  return (
    <Board
      {...(await boardView(format(new Date(), "yyyy-MM-dd")))}
      who={name ? `${name}, ${roleSays(role)}` : null}
      takeIn={takeInUnit}
    />
  );
}
