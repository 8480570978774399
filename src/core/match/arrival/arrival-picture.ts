/** The picture of a part that came hangs on the job under this name of a part. */
export const pictureOf = (arrival: { readonly id: number }): string => `arrival-${arrival.id}`;
