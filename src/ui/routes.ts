interface RouteTraits {
  readonly path: string
  readonly title: string
  /** Addresses at which it shows something of the demo: its pictures and the tests of access look there. */
  readonly shown: Readonly<Record<string, Readonly<Record<string, string>>>>
}

/** Every screen. Its name is the last part of its address, the folder of its code and its title; the board is the root. */
export const ROUTES = {
  board: { path: '/', title: 'Board', shown: { board: {} } },
  start: { path: '/start', title: 'Start', shown: { 'start a job': { vehicle: 'estate' } } },
  text: { path: '/text', title: 'Text', shown: { 'a job from a text': {} } },
  vehicle: { path: '/vehicle', title: 'Vehicle', shown: { 'vehicle form': {} } },
  racks: { path: '/racks', title: 'Racks', shown: { racks: { job: 'demo-boat-and-box' } } },
  rackForm: {
    path: '/rack-form',
    title: 'Rack form',
    shown: { 'rack form': { job: 'demo-boat-and-box' } },
  },
  load: {
    path: '/load',
    title: 'Load',
    shown: {
      'load, a Stop': { job: 'demo-boat-and-box' },
      'load, things to find out': { job: 'demo-ladder' },
    },
  },
  gear: { path: '/gear', title: 'Gear', shown: { 'gear form': {} } },
  forces: { path: '/forces', title: 'Forces', shown: { forces: { job: 'demo-ladder' } } },
  fit: { path: '/fit', title: 'Fit', shown: { fit: { job: 'demo-ridge-tent' } } },
  handover: { path: '/handover', title: 'Handover', shown: { handover: { job: 'demo-ladder' } } },
  log: { path: '/log', title: 'Log', shown: { log: { vehicle: 'car-demo-ridge-tent' } } },
  stock: { path: '/stock', title: 'Stock', shown: { stock: {} } },
  compare: {
    path: '/compare',
    title: 'Compare',
    shown: { compare: { a: 'demo-boat-and-box', b: 'demo-three' } },
  },
  rules: { path: '/rules', title: 'Rules', shown: { rules: {} } },
  house: { path: '/house', title: 'House', shown: { house: {} } },
} as const satisfies Record<string, RouteTraits>
export type RouteName = keyof typeof ROUTES

/** The screens that belong to the shop and to no single job. */
export const SHOP_SCREENS = [
  'board',
  'stock',
  'log',
  'rules',
  'house',
] as const satisfies readonly RouteName[]

/** Addresses that screens had before, with the name of the screen that they lead to. */
export const OLD_ADDRESSES = {
  '/bench': 'load',
  '/bay': 'fit',
  '/why': 'rules',
  '/new': 'start',
  '/rack': 'rackForm',
} as const satisfies Record<string, RouteName>

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
