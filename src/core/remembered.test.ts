import fc from "fast-check";
import { expect, it } from "vitest";
import { remembered } from "./remembered";

it("works once for what is asked again, whatever was asked between, and answers as the work does (law)", () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 9 })), fc.integer({ min: 1, max: 12 }), (asked, keep) => {
      let worked = 0;
      const square = remembered(({ n }: { n: number }) => {
        worked++;
        return { is: n * n };
      }, keep);
      for (const n of asked) expect(square({ n })).toEqual({ is: n * n });
      const before = worked;
      const last = asked.at(-1);
      if (last !== undefined) square({ n: last });
      expect(worked).toBe(before);
      if (keep >= 10) expect(worked).toBe(new Set(asked).size);
    }),
  );
});

it("lets go of what was not asked for longest", () => {
  const asked: number[] = [];
  const same = remembered((n: number) => asked.push(n), 2);
  for (const n of [1, 2, 1, 3, 1, 2]) same(n);
  expect(asked).toEqual([1, 2, 3, 2]);
});

it("a work that throws is tried again", () => {
  let tries = 0;
  const work = remembered(() => {
    if (++tries === 1) throw new Error("first");
    return tries;
  });
  expect(() => work(undefined)).toThrow("first");
  expect(work(undefined)).toBe(2);
});
