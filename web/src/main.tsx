import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router'
import { ProblemError } from './api/client'
import { divide } from './api/device'
import { install } from './app/install'
import { router } from './app/routes'
import { startTheme } from './ui/theme'
import { unpack } from './field/pack'
import { guardWhatIsTyped } from './ui/held'
import './styles.css'

const BUSY_TRIES = 4
const busy = (error: unknown) =>
  error instanceof ProblemError && [429, 502, 503, 504].includes(error.problem.status)

const queries = new QueryClient({
  defaultOptions: {
    // Tried at once, line or no line: what waits unseen is lost with the page.
    queries: {
      // A server that is busy, or just starting, is asked again a little later each time; whoever looks need not.
      retry: (failures, error) => failures < (busy(error) ? BUSY_TRIES : 1),
      retryDelay: (failures) => 1_000 * 2 ** failures,
      staleTime: 2_000,
      refetchOnWindowFocus: true,
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
})

startTheme()
install()
guardWhatIsTyped()
const root = document.getElementById('root')
if (root) {
  await divide()
  await unpack(queries)
  // What the device has is shown at once, and asked for again: who is signed in may have changed meanwhile.
  void queries.invalidateQueries({ queryKey: ['session'] })
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  )
}
