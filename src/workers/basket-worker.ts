import { Fault } from "@/core/fault";
import { findBasket } from "@/core/match/basket/basket";
import { solver } from "@/core/match/basket/solver";
import type { BasketQuestion, BasketTold } from "@/stages/match/basket-search";

self.onmessage = async ({ data: { input, wasm } }: MessageEvent<BasketQuestion>) => {
  const post = (told: BasketTold): void => self.postMessage(told);
  try {
    const solve = await solver(() => wasm);
    post({
      found: findBasket(
        input,
        solve,
        (says) => post({ says }),
        (soFar) => post({ soFar }),
      ),
    });
  } catch (e) {
    post({ fault: e instanceof Fault ? e.says : "The basket could not be worked out." });
  }
};
