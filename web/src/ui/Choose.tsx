import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Field as HField,
  Label,
  Listbox,
  ListboxButton,
  ListboxOption,
  ListboxOptions,
} from '@headlessui/react'
import { useRef, useState } from 'react'
import { box } from './controls'

/** Enter opens the list, as the space bar does; a form is sent from its button, never from a chooser. */
function openOnEnter(e: React.KeyboardEvent<HTMLButtonElement>) {
  if (e.key !== 'Enter' || e.currentTarget.getAttribute('aria-expanded') === 'true') return
  e.preventDefault()
  e.stopPropagation()
  e.currentTarget.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true, cancelable: true }))
}

export interface Choice<T extends string> {
  value: T
  label: string
  hint?: string
}

const option = 'data-[focus]:bg-water-pale px-2 py-2 data-[selected]:font-semibold'

function Said<T extends string>({ choice }: { choice: Choice<T> }) {
  return (
    <>
      {choice.label}
      {choice.hint && <span className="text-soft block text-xs">{choice.hint}</span>}
    </>
  )
}

function Wrong({ error }: { error: string | undefined }) {
  return (
    error && (
      <p role="alert" className="text-madder text-sm font-medium">
        {error}
      </p>
    )
  )
}

interface Props<T extends string> {
  label: string
  value: T | ''
  choices: Choice<T>[]
  onChange: (value: T) => void
  error?: string | undefined
}

/** More than this are looked for by typing. */
const MANY = 12

/** A long list: any word of it, in any order and case, narrows it. */
function Find<T extends string>({ label, value, choices, onChange, error }: Props<T>) {
  const [words, setWords] = useState('')
  // What was typed and is nothing of the list stays in the field, and is pointed at before anything is saved.
  const [held, setHeld] = useState('')
  const picked = useRef(false)
  const cleared = useRef(false)
  const wanted = words.toLocaleLowerCase().split(/\s+/)
  const found = choices.filter((c) => {
    const all = `${c.label} ${c.hint ?? ''}`.toLocaleLowerCase()
    return wanted.every((w) => all.includes(w))
  })
  return (
    <HField className="block">
      <Label className="text-soft block text-sm font-medium">{label}</Label>
      <Combobox<string>
        immediate
        value={value}
        onChange={(v) => {
          // Whoever cleared the field and went on has chosen nothing.
          if (!v || cleared.current) return
          picked.current = true
          setHeld('')
          onChange(v as T)
        }}
        onClose={() => {
          const typed = words.trim()
          const exact = choices.find((c) => c.label.toLocaleLowerCase() === typed.toLocaleLowerCase())
          if (typed && !picked.current) {
            if (exact) onChange(exact.value)
            setHeld(exact ? '' : typed)
          }
          picked.current = false
          cleared.current = false
          setWords('')
        }}
      >
        <ComboboxInput
          className={box}
          autoComplete="off"
          placeholder="choose, or type to find"
          data-held={held || words.trim() || undefined}
          aria-invalid={held ? true : undefined}
          displayValue={(v: string | null) => held || (choices.find((c) => c.value === v)?.label ?? '')}
          onFocus={(e) => {
            cleared.current = false
            e.currentTarget.select()
          }}
          onKeyDownCapture={(e) => {
            cleared.current = e.key === 'Tab' && e.currentTarget.value.trim() === ''
          }}
          onChange={(e) => {
            setWords(e.target.value)
            setHeld('')
          }}
        />
        <ComboboxOptions
          anchor="bottom start"
          className="bg-sheet border-water z-30 max-h-72 w-(--input-width) overflow-auto border-2 [--anchor-gap:2px]"
        >
          {found.map((c) => (
            <ComboboxOption key={c.value} value={c.value} className={option}>
              <Said choice={c} />
            </ComboboxOption>
          ))}
          {found.length === 0 && <p className="text-soft px-2 py-2">Nothing is called that.</p>}
        </ComboboxOptions>
      </Combobox>
      <Wrong error={held ? `“${held}” was not chosen: choose from the list, or clear it` : error} />
    </HField>
  )
}

export function Choose<T extends string>({ label, value, choices, onChange, error }: Props<T>) {
  const chosen = choices.find((c) => c.value === value)
  // Settled when the list is there, and kept: one that turned into the other under a finger would close.
  const [many, setMany] = useState<boolean>()
  if (many === undefined && choices.length > 0) setMany(choices.length > MANY)
  if (many) {
    return <Find label={label} value={value} choices={choices} onChange={onChange} error={error} />
  }
  return (
    <HField className="block">
      <Label className="text-soft block text-sm font-medium">{label}</Label>
      <Listbox value={value} onChange={(v) => onChange(v as T)}>
        <ListboxButton
          className={`${box} flex items-center justify-between text-left disabled:opacity-60`}
          disabled={choices.length === 0}
          onKeyDownCapture={openOnEnter}
        >
          <span className="truncate">{chosen?.label ?? 'choose'}</span>
          <svg viewBox="0 0 12 8" className="w-3" aria-hidden>
            <path d="M1 1l5 5 5-5" fill="none" stroke="currentColor" strokeWidth="2" />
          </svg>
        </ListboxButton>
        <ListboxOptions
          anchor="bottom start"
          className="bg-sheet border-water z-30 max-h-72 w-(--button-width) overflow-auto border-2 [--anchor-gap:2px]"
        >
          {choices.map((c) => (
            <ListboxOption key={c.value} value={c.value} className={option}>
              <Said choice={c} />
            </ListboxOption>
          ))}
        </ListboxOptions>
      </Listbox>
      <Wrong error={error} />
    </HField>
  )
}
