/** Where the build has put the worker’s own file: a file URL. */
declare module '#worker' {
  const address: string
  export default address
}
