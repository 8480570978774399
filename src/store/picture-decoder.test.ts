import { crc32, deflateSync } from "node:zlib";
import { describe, expect, it } from "vitest";
import { inRoom, pictureHead } from "./picture-decoder";
import { keepPicture } from "./picture-files";
import { faultOf, grey, testShop } from "./test-shop";

testShop();

/** A PNG whose head says what it likes. */
function png(width: number, height: number, interlaced: boolean): Buffer {
  const chunk = (name: string, data: Uint8Array): Buffer => {
    const body = Buffer.concat([Buffer.from(name), data]);
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, sum]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head[8] = 8;
  head[12] = interlaced ? 1 : 0;
  return Buffer.concat([
    Buffer.from("89504e470d0a1a0a", "hex"),
    chunk("IHDR", head),
    chunk("IDAT", deflateSync(Buffer.alloc(1000))),
    chunk("IEND", new Uint8Array(0)),
  ]);
}

describe("a picture that is a bomb", () => {
  it.each([
    [
      "of 900 million pixels",
      png(30_000, 30_000, false),
      /900 million pixels, too many to work on; one of its kind may have 120 million/,
    ],
    [
      "that lies in memory as a whole",
      png(10_000, 10_000, true),
      /100 million pixels, .* may have 50 million/,
    ],
    ["of a side without an end", png(2 ** 31 - 1, 1, false), /too many to work on|no JPEG, PNG or WebP/],
    [
      "that is a drawing",
      Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9">${"<path d='M0 0'/>".repeat(300_000)}</svg>`,
      ),
      /no JPEG, PNG or WebP/,
    ],
    ["that moves", Buffer.from("R0lGODlhAQABAAAAACw=", "base64"), /no JPEG, PNG or WebP/],
  ])("%s is told so before it is worked on", async (_, bytes, says) => {
    expect(await faultOf(keepPicture(bytes))).toMatch(says);
  });
  it("is told from one that is only large", async () => {
    expect((await pictureHead(await grey(9000, 9000).png().toBuffer())).width).toBe(9000);
  });
});

describe("room for pixels", () => {
  it("lets so many be worked on at once, in the order of coming, and one that is larger alone", async () => {
    let [now, most] = [0, 0];
    const order: number[] = [];
    const work = (n: number, pixels: number) =>
      inRoom(pixels, async () => {
        now += pixels;
        most = Math.max(most, now);
        order.push(n);
        await new Promise((done) => setTimeout(done, 5));
        now -= pixels;
      });
    await Promise.all([
      work(0, 30e6),
      work(1, 30e6),
      work(2, 5e6),
      work(3, 100e6),
      work(4, 10e6),
      work(5, 10e6),
      work(6, 10e6),
    ]);
    expect(order).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(most).toBe(100e6);
  });
  it("is given back by work that fails", async () => {
    await expect(inRoom(40e6, async () => Promise.reject(new Error("broken")))).rejects.toThrow("broken");
    expect(await inRoom(40e6, async () => "in")).toBe("in");
  });
});
