import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { startTheme } from '../ui/theme'
import '../styles.css'
import { Join } from './Join'

startTheme()
const root = document.getElementById('root')
if (root)
  createRoot(root).render(
    <StrictMode>
      <Join />
    </StrictMode>,
  )
