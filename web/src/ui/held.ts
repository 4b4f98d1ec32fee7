/**
 * What was typed into a field and not taken over yet, such as a name for which nothing was chosen, is held by that field in
 * `data-held`. No form is sent off while one of its fields holds something: the page stays and points at it.
 */

/** The first field of a part of the page that holds something, or a date of which only a part was typed. */
function holding(within: ParentNode): HTMLInputElement | undefined {
  return [...within.querySelectorAll<HTMLInputElement>('input')].find(
    (i) => Boolean(i.dataset.held) || i.validity.badInput,
  )
}

function stop(e: Event, field: HTMLInputElement) {
  e.preventDefault()
  e.stopImmediatePropagation()
  field.focus()
  field.scrollIntoView({ block: 'center' })
  if (field.validity.badInput) field.reportValidity()
}

/** Stands guard over every form of the application. @returns what takes it away again */
export function guardWhatIsTyped(): () => void {
  const onSubmit = (e: Event) => {
    const field = e.target instanceof HTMLElement ? holding(e.target) : undefined
    if (field) stop(e, field)
  }
  // A page without a form of its own saves by its main button.
  const onClick = (e: Event) => {
    const button = e.target instanceof Element ? e.target.closest('button[data-kind=main]') : null
    if (!button || (button instanceof HTMLButtonElement && button.type === 'submit')) return
    const field = holding(button.closest('form') ?? button.closest('main') ?? document)
    if (field) stop(e, field)
  }
  document.addEventListener('submit', onSubmit, true)
  document.addEventListener('click', onClick, true)
  return () => {
    document.removeEventListener('submit', onSubmit, true)
    document.removeEventListener('click', onClick, true)
  }
}
