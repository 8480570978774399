/** Whether anybody knows the model: two units without one are not of one model. */
export const modelNamed = (model: string): boolean =>
  !/^\W*(unknown|unmarked|none|no idea)?\W*$/i.test(model);
