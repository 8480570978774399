/** The writers come without types. */
interface JscadSerializer {
  serialize(
    options: Readonly<Record<string, unknown>>,
    ...objects: readonly unknown[]
  ): (string | ArrayBuffer)[];
}
declare module "@jscad/svg-serializer" {
  const writer: JscadSerializer;
  export default writer;
}
declare module "@jscad/dxf-serializer" {
  const writer: JscadSerializer;
  export default writer;
}
declare module "@jscad/stl-serializer" {
  const writer: JscadSerializer;
  export default writer;
}
