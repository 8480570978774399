import type { Basket } from "@/core/match/basket/basket";

/** What is bought where, supplier by supplier, with what comes from the drawer and what is left over. */
export function BasketLines({
  basket,
  names,
  money,
}: {
  basket: Basket;
  names: Readonly<Record<string, string>>;
  money: (n: number) => string;
}) {
  const suppliers = [...new Set(basket.lines.map((l) => l.supplier))];
  const row =
    "grid grid-cols-[minmax(0,1fr)_auto_110px] items-baseline gap-3 border-b-2 border-base-300 py-1 text-[20px]";
  return (
    <>
      {suppliers.map((s) => (
        <section key={s} aria-label={s} className="pt-2">
          <h3 className="text-[22px]">{s}</h3>
          <ul>
            {basket.lines
              .filter((l) => l.supplier === s)
              .map((l) => (
                <li key={l.offer} className={row}>
                  <span className="truncate">
                    {l.packs > 1 && <b>{l.packs} × </b>}
                    {names[l.part]}
                    {l.pack > 1 && <span className="hush"> · pack of {l.pack}</span>}
                  </span>
                  <span className="figures text-[17px]">{l.part}</span>
                  <span className="figures text-right">{money(l.price)}</span>
                </li>
              ))}
            {basket.shipping
              .filter((x) => x.supplier === s)
              .map((x) => (
                <li key={x.supplier} className={`${row} hush`}>
                  <span>shipping</span>
                  <span />
                  <span className="figures text-right">{x.cost ? money(x.cost) : "free"}</span>
                </li>
              ))}
          </ul>
        </section>
      ))}
      {basket.fromShelf.length > 0 && (
        <section aria-label="From the drawer" className="pt-2">
          <h3 className="text-[22px]">From the drawer</h3>
          <ul>
            {basket.fromShelf.map((f) => (
              <li key={f.part} className={row}>
                <span className="truncate">
                  {f.qty > 1 && <b>{f.qty} × </b>}
                  {names[f.part]}
                </span>
                <span className="figures text-[17px]">{f.part}</span>
                <span className="text-right">here</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {basket.leftOver.length > 0 && (
        <p className="hush pt-2 text-[19px]">
          Left over for stock:{" "}
          {basket.leftOver.map((l) => `${l.qty} × ${names[l.part] ?? l.part}`).join(", ")}
        </p>
      )}
    </>
  );
}
