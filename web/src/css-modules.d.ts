/** A sheet whose class names are its own: what is asked of it by a name that it lacks draws nothing. */
declare module '*.module.css' {
  const names: Readonly<Record<string, string>>;
  export default names;
}
