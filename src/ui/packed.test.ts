import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pack, unpack } from "./packed";

describe("records that travel as one text", () => {
  it("come out as they went in, whatever they say", () => {
    const word = fc.oneof(fc.string(), fc.constantFrom('"', "~", '~"~', "\\", "</script>"));
    fc.assert(
      fc.property(
        fc.array(
          fc.dictionary(
            word,
            fc.oneof(
              word,
              fc.double({ noNaN: true, noDefaultInfinity: true }).filter((x) => !Object.is(x, -0)),
              fc.boolean(),
            ),
          ),
        ),
        (records) => {
          expect(JSON.stringify(unpack(pack(records)))).toBe(JSON.stringify(records));
        },
      ),
    );
  });
  it("have no quotation mark of their own, which would be quoted twice on the way", () => {
    expect(pack([{ step: "s1", title: "wheel" }])).toBe("[{~step~:~s1~,~title~:~wheel~}]");
  });
  it("are packed once as long as they are the same, and unpacked to the same records", () => {
    const records = [{ id: "p1" }];
    const text = pack(records);
    records.push({ id: "p2" });
    expect(pack(records)).toBe(text);
    expect(unpack(text)).toBe(unpack(pack([{ id: "p1" }])));
  });
  it("that were not looked at for long are let go, and come out all the same", () => {
    const first = pack([{ n: -1 }]);
    const held = unpack(first);
    for (let n = 0; n < 60; n++) unpack(pack([{ n }]));
    expect(unpack(first)).toEqual(held);
    expect(unpack(first)).not.toBe(held);
  });
});
