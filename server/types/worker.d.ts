/** Where the build has put the worker’s own file: a file URL. */
declare module '#worker' {
  const address: string
  export default address
}

/** Where the build has put the file that a process of its own starts from: a file URL. */
declare module '#process' {
  const address: string
  export default address
}
