/** Every route of the API, as the build found them. */
declare module '#api-routes' {
  export const ROUTES: { route: string, method: string }[]
}
