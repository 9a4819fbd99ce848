interface RouteTraits {
  readonly path: string
  readonly title: string
  /** Addresses at which it shows something of the demo: its pictures and the tests of access look there. */
  readonly shown: Readonly<Record<string, Readonly<Record<string, string>>>>
}

/** Every screen's address. */
export const ROUTES = {
  jobs: { path: '/', title: 'Ypsos', shown: { jobs: {} } },
  bench: {
    path: '/bench',
    title: 'Bench',
    shown: {
      'bench, a Stop': { job: 'demo-boat-and-box' },
      'bench, things to find out': { job: 'demo-ladder' },
    },
  },
  start: { path: '/new', title: 'Start a job', shown: { 'start a job': { vehicle: 'estate' } } },
  vehicle: { path: '/vehicle', title: 'Vehicle', shown: { 'vehicle form': {} } },
  rack: { path: '/rack', title: 'Rack', shown: { 'rack form': { job: 'demo-boat-and-box' } } },
  racks: { path: '/racks', title: 'Racks', shown: { racks: { job: 'demo-boat-and-box' } } },
  gear: { path: '/gear', title: 'Gear', shown: { 'gear form': {} } },
  stock: { path: '/stock', title: 'Stock', shown: { stock: {} } },
  compare: {
    path: '/compare',
    title: 'Compare',
    shown: { compare: { a: 'demo-boat-and-box', b: 'demo-three' } },
  },
  why: { path: '/why', title: 'Rules', shown: { rules: {} } },
  forces: { path: '/forces', title: 'Forces', shown: { forces: { job: 'demo-ladder' } } },
  bay: { path: '/bay', title: 'Bay', shown: { bay: { job: 'demo-ridge-tent' } } },
  handover: { path: '/handover', title: 'Handover', shown: { handover: { job: 'demo-ladder' } } },
  house: { path: '/house', title: 'House', shown: { house: {} } },
  log: { path: '/log', title: 'Log', shown: { log: { vehicle: 'car-demo-ridge-tent' } } },
} as const satisfies Record<string, RouteTraits>
export type RouteName = keyof typeof ROUTES

/** What a shop has outside its jobs. */
export const SHOP_SCREENS = [
  { route: 'jobs', word: 'Jobs' },
  { route: 'stock', word: 'Stock' },
  { route: 'log', word: 'Log' },
  { route: 'why', word: 'Rules' },
  { route: 'house', word: 'House' },
] as const satisfies readonly { readonly route: RouteName; readonly word: string }[]

/** A screen's address, with what it is to show. */
export function to(route: RouteName, query: Readonly<Record<string, string>> = {}): string {
  const asked = new URLSearchParams(query).toString()
  return asked === '' ? ROUTES[route].path : `${ROUTES[route].path}?${asked}`
}

/** Addresses of the demo by the name they are shown under. */
export const SHOWN: readonly (readonly [name: string, address: string])[] = Object.entries(ROUTES).flatMap(
  ([route, { shown }]) =>
    Object.entries(shown).map(([name, query]) => [name, to(route as RouteName, query)] as const),
)

/** What the browser calls a screen's page. */
export const titled = (route: RouteName): { readonly title: string } => ({
  title: `${ROUTES[route].title} · Ypsos`,
})
