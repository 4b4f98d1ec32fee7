import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router'
import { divide } from './api/device'
import { install } from './app/install'
import { router } from './app/routes'
import { startTheme } from './app/theme'
import { unpack } from './field/pack'
import { guardWhatIsTyped } from './ui/held'
import './styles.css'

const queries = new QueryClient({
  defaultOptions: {
    // Tried at once, line or no line: what waits unseen is lost with the page.
    queries: { retry: 1, staleTime: 2_000, refetchOnWindowFocus: true, networkMode: 'always' },
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
