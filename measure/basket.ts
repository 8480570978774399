/**
 * The choice of a basket from 40 needs, 400 offers and 60 kits, in milliseconds, and as a ratio to one of a
 * tenth the size in the same run. Drawn by a
 * seed: prices, packs, lead times, kits of two to five parts a fifth cheaper than their parts.
 */
import { cheapestBasket } from "../src/core/match/basket/basket";
import { solver } from "../src/core/match/basket/solver";

function draw(needs: number, offers: number, kits: number, seed: number) {
  let a = seed;
  const share = (): number => {
    a = (Math.imul(a, 1664525) + 1013904223) >>> 0;
    return a / 4294967296;
  };
  const whole = (n: number): number => Math.floor(share() * n);
  const parts = Array.from({ length: needs }, (_, i) => ({ number: `P${i}`, price: 1 + share() * 40 }));
  const suppliers = Array.from({ length: 5 }, (_, i) => ({
    name: `S${i}`,
    shipping: 3 + whole(6),
    freeFrom: 60 + whole(80),
    minimumOrder: whole(3) * 10,
  }));
  const money = (x: number): number => Math.round(x * 100) / 100;
  const bundles = Array.from({ length: kits }, (_, i) => ({
    number: `K${i}`,
    contains: Array.from({ length: 2 + whole(4) }, () => ({ part: `P${whole(needs)}`, qty: 1 })),
  }));
  const worth = (part: string): number => parts.find((p) => p.number === part)?.price ?? 0;
  return {
    needs: parts.map((p, i) => ({
      id: `need ${i}`,
      qty: 1 + (whole(5) === 0 ? 1 : 0),
      options: [
        { part: p.number },
        ...(i % 4 === 0 ? [{ part: `P${(i + 1) % needs}`, with: [{ part: `P${(i + 2) % needs}` }] }] : []),
      ],
    })),
    offers: [
      ...Array.from({ length: offers - kits }, (_, i) => {
        const p = parts[i % needs] as (typeof parts)[number];
        const pack = whole(6) === 0 ? 5 : 1;
        return {
          id: `o${i}`,
          supplier: `S${whole(5)}`,
          part: p.number,
          price: money(p.price * (0.8 + 0.4 * share()) * (pack === 5 ? 3.5 : 1)),
          pack,
          stock: 1 + whole(8),
          leadDays: 1 + whole(9),
        };
      }),
      ...bundles.map((k, i) => ({
        id: `k${i}`,
        supplier: `S${whole(5)}`,
        part: k.number,
        price: money(k.contains.reduce((s, c) => s + worth(c.part), 0) * (0.65 + 0.3 * share())),
        leadDays: 1 + whole(9),
      })),
    ],
    kits: bundles,
    suppliers,
    runnersUp: 0,
  };
}

const solve = await solver();
const median = (xs: number[]): number => [...xs].sort((a, b) => a - b)[xs.length >> 1] as number;
const timesOf = (needs: number, offers: number, kits: number): number[] =>
  [1, 2, 3, 4, 5].map((seed) => {
    const input = draw(needs, offers, kits, seed);
    const from = performance.now();
    if (!cheapestBasket(input, solve).basket) throw new Error("no basket");
    return performance.now() - from;
  });
timesOf(4, 40, 6);
const small = timesOf(4, 40, 6);
const large = timesOf(40, 400, 60);
console.log(
  `basket, 40 needs, 400 offers, 60 kits: ${median(large).toFixed(0)} ms (${Math.min(...large).toFixed(0)} to ${Math.max(...large).toFixed(0)}), ${(median(large) / median(small)).toFixed(1)} times one of a tenth the size; aim: under 1000 ms`,
);
