import { format } from "date-fns";
import { Board } from "@/shop/board/board";
import { boardView } from "@/shop/board/board-view";
import { takeInUnit } from "@/stages/take-in/actions";

export const dynamic = "force-dynamic";

export default async function Page() {
  return <Board {...(await boardView(format(new Date(), "yyyy-MM-dd")))} takeIn={takeInUnit} />;
}
