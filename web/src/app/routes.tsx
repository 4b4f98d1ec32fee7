import { createBrowserRouter, isRouteErrorResponse, Link, useRouteError } from 'react-router'
import { KINDS } from '../making/kinds'
import { Layout } from './Layout'

/** Shown when a page of ours fails or an address leads nowhere. */
function Lost() {
  const error = useRouteError()
  const nowhere = isRouteErrorResponse(error) && error.status === 404
  // A view that was never opened before is fetched when it is first wanted.
  const unfetched = error instanceof TypeError && /import|fetch|load/i.test(error.message)
  if (unfetched) {
    return (
      <main id="main" className="mx-auto max-w-xl p-8">
        <h1 className="text-2xl font-semibold">This view waits for the line</h1>
        <p className="my-3">
          It was not opened before and can not be fetched now. Your records are safe on the server; views you
          have had open still work.
        </p>
        <button type="button" className="min-h-11 underline" onClick={() => location.reload()}>
          Try again
        </button>
      </main>
    )
  }
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl font-semibold">{nowhere ? 'Nothing lies here' : 'This page failed'}</h1>
      <p className="my-3">
        {nowhere
          ? 'No page has this address.'
          : 'Your records are safe on the server. Load the page again; if it fails again, look into the log.'}
      </p>
      <Link className="underline" to="/">
        Back to Today
      </Link>
    </main>
  )
}

export const router = createBrowserRouter([
  {
    path: '/sign-in',
    lazy: async () => ({ Component: (await import('../household/SignIn')).SignIn }),
    errorElement: <Lost />,
  },
  {
    path: '/',
    element: <Layout />,
    errorElement: <Lost />,
    hydrateFallbackElement: <p className="p-4">Reading the records</p>,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('../calendar/Today')).Today }) },
      {
        path: 'herbarium',
        lazy: async () => ({ Component: (await import('../herbarium/Herbarium')).Herbarium }),
      },
      {
        path: 'herbarium/new',
        lazy: async () => ({ Component: (await import('../herbarium/NewPlant')).NewPlant }),
      },
      {
        path: 'herbarium/:id/when',
        lazy: async () => ({ Component: (await import('../identification/When')).When }),
      },
      {
        path: 'herbarium/:id/compare',
        lazy: async () => ({ Component: (await import('../herbarium/Compare')).Compare }),
      },
      { path: 'help', lazy: async () => ({ Component: (await import('../dosing/Help')).Help }) },
      {
        path: 'calendar',
        lazy: async () => ({ Component: (await import('../calendar/InCalendar')).InCalendar }),
      },
      {
        path: 'archive/audit',
        lazy: async () => ({ Component: (await import('../archive/Audit')).Audit }),
      },
      {
        path: 'archive/lists',
        lazy: async () => ({ Component: (await import('../archive/ListsIn')).ListsIn }),
      },
      {
        path: 'archive',
        lazy: async () => ({ Component: (await import('../archive/Archive')).Archive }),
      },
      { path: 'year', lazy: async () => ({ Component: (await import('../planning/Year')).Year }) },
      { path: 'basket', lazy: async () => ({ Component: (await import('../planning/Basket')).BasketPage }) },
      { path: 'search', lazy: async () => ({ Component: (await import('../search/Search')).Search }) },
      {
        path: 'notes/:id?',
        lazy: async () => ({ Component: (await import('../notes/NotesPage')).NotesPage }),
      },
      { path: 'needs', lazy: async () => ({ Component: (await import('../planning/Need')).Need }) },
      {
        path: 'herbarium/:id',
        lazy: async () => ({ Component: (await import('../herbarium/Plant')).Plant }),
      },
      { path: 'field', lazy: async () => ({ Component: (await import('../field/Field')).Field }) },
      {
        path: 'field/notebook',
        lazy: async () => ({ Component: (await import('../field/Notebook')).Notebook }),
      },
      {
        path: 'field/ground',
        lazy: async () => ({ Component: (await import('../field/Ground')).GroundPage }),
      },
      {
        path: 'field/walk',
        lazy: async () => ({ Component: (await import('../field/Walk')).Walk }),
      },
      {
        path: 'field/weather',
        lazy: async () => ({ Component: (await import('../field/Weather')).WeatherPage }),
      },
      {
        path: 'field/train',
        lazy: async () => ({ Component: (await import('../field/Train')).Train }),
      },
      {
        path: 'field/identify',
        lazy: async () => ({ Component: (await import('../field/WhatIsThis')).WhatIsThis }),
      },
      { path: 'field/stands/:id', lazy: async () => ({ Component: (await import('../field/Stand')).Stand }) },
      {
        path: 'field/stands/:id/identify',
        lazy: async () => ({ Component: (await import('../field/IdentifyStand')).IdentifyStand }),
      },
      {
        path: 'field/stands/:id/harvest',
        lazy: async () => ({ Component: (await import('../field/HarvestForm')).HarvestForm }),
      },
      { path: 'drying', lazy: async () => ({ Component: (await import('../drying/Rack')).Rack }) },
      { path: 'drying/:id', lazy: async () => ({ Component: (await import('../drying/Run')).Run }) },
      { path: 'shelf', lazy: async () => ({ Component: (await import('../shelf/Shelf')).Shelf }) },
      {
        path: 'shelf/labels',
        lazy: async () => ({ Component: (await import('../shelf/Labels')).Labels }),
      },
      {
        path: 'shelf/stock-take',
        lazy: async () => ({ Component: (await import('../shelf/StockTake')).StockTake }),
      },
      {
        path: 'shelf/vessels',
        lazy: async () => ({ Component: (await import('../shelf/Vessels')).Vessels }),
      },
      { path: 'shelf/:id', lazy: async () => ({ Component: (await import('../shelf/Lot')).Lot }) },
      { path: 'making', lazy: async () => ({ Component: (await import('../making/Bench')).Bench }) },
      {
        path: 'making/reduce',
        lazy: async () => ({ Component: (await import('../making/tea/Reduce')).Reduce }),
      },
      {
        path: 'making/measures',
        lazy: async () => ({ Component: (await import('../making/Measures')).Measures }),
      },
      ...KINDS.map((k) => ({
        path: `making/${k.path}`,
        lazy: async () => ({ Component: await k.page() }),
      })),
      {
        path: 'making/batches/:id/kitchen',
        lazy: async () => ({ Component: (await import('../making/Kitchen')).Kitchen }),
      },
      {
        path: 'making/batches/:id',
        lazy: async () => ({ Component: (await import('../making/Batch')).Batch }),
      },
      {
        path: 'household',
        lazy: async () => ({ Component: (await import('../household/Household')).Household }),
      },
      {
        path: 'household/phones',
        lazy: async () => ({ Component: (await import('../joining/Phones')).Phones }),
      },
      { path: 'schools', lazy: async () => ({ Component: (await import('../household/Schools')).Schools }) },
      { path: 'dosing', lazy: async () => ({ Component: (await import('../dosing/People')).People }) },
      {
        path: 'dosing/people/:id',
        lazy: async () => ({ Component: (await import('../dosing/Somebody')).Somebody }),
      },
      {
        path: 'dosing/direct/new',
        lazy: async () => ({ Component: (await import('../dosing/Direct')).DirectUse }),
      },
      {
        path: 'dosing/direct/:id',
        lazy: async () => ({ Component: (await import('../dosing/Direct')).DirectOne }),
      },
      {
        path: 'dosing/courses/:id/card',
        lazy: async () => ({ Component: (await import('../dosing/DoseCard')).DoseCard }),
      },
      {
        path: 'dosing/new',
        lazy: async () => ({ Component: (await import('../dosing/NewCourse')).NewCourse }),
      },
      {
        path: 'dosing/courses/:id',
        lazy: async () => ({ Component: (await import('../dosing/Course')).Course }),
      },
      {
        path: 'tracing/:id/recall',
        lazy: async () => ({ Component: (await import('../tracing/Recall')).Recall }),
      },
      { path: 'tracing/:id?', lazy: async () => ({ Component: (await import('../tracing/Trace')).Trace }) },
    ],
  },
])
