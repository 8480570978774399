/** As many tests run at once as there are shops: each worker has a server of its own, on a folder of its own, so that what is done in one is not seen in the other. */
export const SHOPS = 2;

const first = Number(process.env.DEMONTAGE_PORT ?? 4321);

/** The n-th shop: where its server listens, and the folder it keeps its data in. */
export const shop = (n: number) => ({ port: first + n, address: `http://localhost:${first + n}`, data: `data/e2e/${n}` });

/** The shop of the worker that asks. */
export const ownShop = () => shop(Number(process.env.TEST_PARALLEL_INDEX ?? 0));
