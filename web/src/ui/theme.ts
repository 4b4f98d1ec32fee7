const KEY = 'sallowbrook.theme'

/** The one chosen here, else the system's. */
export function startTheme() {
  const dark = matchMedia('(prefers-color-scheme: dark)')
  const apply = () => {
    const chosen = localStorage.getItem(KEY)
    document.documentElement.dataset['theme'] = chosen ?? (dark.matches ? 'dark' : 'light')
  }
  dark.addEventListener('change', apply)
  apply()
}

export function switchTheme() {
  const next = document.documentElement.dataset['theme'] === 'dark' ? 'light' : 'dark'
  localStorage.setItem(KEY, next)
  document.documentElement.dataset['theme'] = next
}
