declare module '*.glsl?raw' {
  const text: string;
  export default text;
}
