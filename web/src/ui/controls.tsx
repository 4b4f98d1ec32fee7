import { degreesOf, number } from './read'
import {
  Description,
  Field as HField,
  Input as HInput,
  Textarea as HTextarea,
  Label,
  Select,
  Switch,
} from '@headlessui/react'
import { forwardRef, useEffect, useId, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import { Link } from 'react-router'
import { api, ask, ProblemError, type Schemas } from '../api/client'
import { kitchen } from './kitchen'

const look = {
  main: 'bg-water text-sheet border-water hover:brightness-110',
  quiet: 'bg-sheet text-ink border-line hover:border-water',
  grave: 'bg-sheet text-madder border-madder hover:bg-madder-pale',
}
const base =
  'inline-flex min-h-11 items-center justify-center gap-2 border-2 px-4 py-1.5 font-semibold disabled:opacity-60 disabled:cursor-not-allowed'

export function Button({
  kind = 'quiet',
  ...props
}: React.ButtonHTMLAttributes<HTMLButtonElement> & { kind?: keyof typeof look }) {
  return (
    <button
      type="button"
      data-kind={kind}
      {...props}
      className={`${base} ${look[kind]} ${props.className ?? ''}`}
    />
  )
}

export function ButtonLink({
  kind = 'quiet',
  to,
  children,
}: {
  kind?: keyof typeof look
  to: string
  children: React.ReactNode
}) {
  return (
    <Link to={to} className={`${base} ${look[kind]}`}>
      {children}
    </Link>
  )
}

export const box =
  'bg-sheet border-line w-full border-2 px-2 min-h-11 text-ink focus:border-water data-[invalid]:border-madder'

type InputProps = React.InputHTMLAttributes<HTMLInputElement> & {
  label: string
  unit?: React.ReactNode
  hint?: string
  error?: string | undefined
}

/** A labelled input with its unit inside and its error beneath. */
export const Input = forwardRef<HTMLInputElement, InputProps>(function Input(
  { label, unit, hint, error, ...props },
  ref,
) {
  return (
    <HField className="block">
      <Label className="text-soft block text-sm font-medium">{label}</Label>
      <div className="relative">
        <HInput ref={ref} invalid={Boolean(error)} className={box} {...props} />
        {unit && typeof unit !== 'string' && (
          <span className="absolute inset-y-0 right-1 flex items-center">{unit}</span>
        )}
        {unit && typeof unit === 'string' && (
          <span className="text-soft pointer-events-none absolute inset-y-0 right-2 flex items-center text-sm">
            {unit}
          </span>
        )}
      </div>
      {hint && !error && <Description className="text-soft text-xs">{hint}</Description>}
      {error && (
        <Description role="alert" className="text-madder text-sm font-medium">
          {error}
        </Description>
      )}
    </HField>
  )
})

/** Room for more than a line. */
export function TextArea({
  label,
  hint,
  error,
  ...props
}: React.TextareaHTMLAttributes<HTMLTextAreaElement> & {
  label: string
  hint?: string
  error?: string | undefined
}) {
  return (
    <HField className="block">
      <Label className="text-soft block text-sm font-medium">{label}</Label>
      <HTextarea invalid={Boolean(error)} className={`${box} py-2`} {...props} />
      {hint && !error && <Description className="text-soft text-xs">{hint}</Description>}
      {error && (
        <Description role="alert" className="text-madder text-sm font-medium">
          {error}
        </Description>
      )}
    </HField>
  )
}

/** What may be typed with a unit of its own, such as "2 oz" or "1 1/2 cups"; the server reads it. */
const TYPED: Record<string, Schemas['AmountTextRequest']['quantity']> = {
  g: 'MASS',
  mL: 'VOLUME',
  '% vol': 'STRENGTH',
  '°C': 'TEMPERATURE',
}

/** Other units to choose where a keyboard has numbers only; the first is the field's own. */
const OTHERS: Record<Schemas['AmountTextRequest']['quantity'], string[]> = {
  MASS: ['g', 'kg', 'oz', 'lb'],
  VOLUME: ['mL', 'l', 'tsp', 'tbsp', 'cup', 'fl oz'],
  STRENGTH: ['% vol', 'US proof', 'UK proof'],
  TEMPERATURE: ['°C', '°F'],
}

const OFFLINE = 'The server can not be reached to read this; type a plain number, or try again.'

/** A number typed as text, so that what was typed is never lost; NaN when it is none. */
export function NumberInput({
  label,
  unit,
  value,
  onChange,
  error,
  hint,
}: {
  label: string
  unit?: string
  value: string
  onChange: (value: string) => void
  error?: string | undefined
  hint?: string
}) {
  const [read, setRead] = useState<{ hint?: string; error?: string }>({})
  const quantity = unit ? TYPED[unit] : undefined
  const input = useRef<HTMLInputElement>(null)
  // Another unit goes with the figure from the first moment: until it is read, "2 oz" is no number to anybody.
  const [other, setOther] = useState<string>()
  const suffix = other ? ` ${other}` : ''
  const shown = suffix && value.endsWith(suffix) ? value.slice(0, -suffix.length) : value
  const inUnit = (typed: string, unit: string | undefined) =>
    unit && typed.trim() ? `${typed} ${unit}` : typed
  const unread = quantity !== undefined && value.trim() !== '' && Number.isNaN(number(value))
  // Where no unit can be typed there is nothing to read but a number; anything else is held, and said. Digits that can be
  // read in two ways are refused by whoever reads them: 2.513 is a longitude.
  const noNumber = quantity === undefined && Number.isNaN(degreesOf(value.replace('%', '')) ?? 0)
  const [left, setLeft] = useState(false)
  const readTyped = async (text = value) => {
    if (quantity === undefined || text.trim() === '' || !Number.isNaN(number(text))) return false
    try {
      const answer = await ask(
        api.POST('/api/calculators/amount', {
          body: { text, quantity, kitchen: kitchen() },
        }),
      )
      // At once, so that a form sent off right after sends the figure.
      flushSync(() => {
        setRead({ hint: answer.read })
        setOther(undefined)
        onChange(String(Number(answer.value.toPrecision(6))))
      })
      return true
    } catch (e) {
      setRead({
        error: e instanceof ProblemError ? (e.problem.errors?.[0]?.message ?? e.message) : OFFLINE,
      })
      return false
    }
  }
  // A form waits until what was typed is read, and is not sent when it can't be.
  useEffect(() => {
    const form = input.current?.form
    if (!form || !unread) return
    const wait = (e: SubmitEvent) => {
      e.preventDefault()
      e.stopPropagation()
      void readTyped().then((ok) => ok && form.requestSubmit(e.submitter))
    }
    form.addEventListener('submit', wait, { capture: true })
    return () => form.removeEventListener('submit', wait, { capture: true })
  })
  const says = read.hint ?? hint
  return (
    <Input
      ref={input}
      label={label}
      {...(unit
        ? {
            unit: quantity ? (
              <UnitOf
                label={label}
                units={OTHERS[quantity]}
                value={other}
                onChange={(u) => {
                  setRead({})
                  setOther(u)
                  onChange(inUnit(shown, u))
                  if (u) void readTyped(inUnit(shown, u))
                }}
              />
            ) : (
              unit
            ),
          }
        : {})}
      {...(says ? { hint: says } : {})}
      inputMode="decimal"
      value={shown}
      data-held={noNumber ? value : undefined}
      error={read.error ?? error ?? (noNumber && left ? 'is no number' : undefined)}
      onBlur={() => {
        setLeft(true)
        void readTyped()
      }}
      onKeyDown={(e) => e.key === 'Enter' && setLeft(true)}
      onChange={(e) => {
        setRead({})
        setLeft(false)
        onChange(inUnit(e.target.value, other))
      }}
    />
  )
}

/** The unit that is typed in; another than the field's own is turned into it. */
function UnitOf({
  label,
  units,
  value,
  onChange,
}: {
  label: string
  units: string[]
  value: string | undefined
  onChange: (unit: string | undefined) => void
}) {
  return (
    // A field of its own: else it would bear the label of the amount.
    <HField as="span">
      <Select
        aria-label={`${label}, unit`}
        className="text-soft data-[focus]:outline-water h-9 min-w-9 appearance-none bg-transparent px-1 text-right text-sm"
        value={value ?? units[0]}
        onChange={(e) => onChange(e.target.value === units[0] ? undefined : e.target.value)}
      >
        {units
          // Whose fluid ounce, only a kitchen that has one knows.
          .filter((u) => u !== 'fl oz' || kitchen() !== 'METRIC')
          .map((u) => (
            <option key={u}>{u}</option>
          ))}
      </Select>
    </HField>
  )
}

export function Toggle({
  label,
  checked,
  onChange,
}: {
  label: string
  checked: boolean
  onChange: (checked: boolean) => void
}) {
  return (
    <HField className="flex min-h-11 items-center gap-3">
      <Switch
        checked={checked}
        onChange={onChange}
        className="group border-line data-[checked]:bg-water data-[checked]:border-water inline-flex h-6 w-11 shrink-0 items-center border-2"
      >
        <span className="bg-soft group-data-[checked]:bg-sheet size-4 translate-x-1 group-data-[checked]:translate-x-5" />
      </Switch>
      <Label>{label}</Label>
    </HField>
  )
}

/** As many figures as the field of a slider has room for. */
const asFits = (value: number) => String(Number(value.toPrecision(Math.abs(value) < 100 ? 4 : 6)))

/** A slider for the eye, and beside it the exact figure to type. */
export function Slider({
  label,
  unit,
  value,
  min,
  max,
  step,
  onChange,
}: {
  label: string
  unit: string
  value: number
  min: number
  max: number
  step: number
  onChange: (value: number) => void
}) {
  const id = useId()
  const [typed, setTyped] = useState<string | null>(null)
  const [held, setHeld] = useState<string>()
  const shown = asFits(value)
  // What is proposed may change while somebody is in the field; what they have selected there then stays as it is.
  const [entered, setEntered] = useState(shown)
  // What stands in the field counts, not what was last drawn: focus may be taken from it between two strokes.
  const take = (text: string, meant = text !== entered) => {
    const n = number(text)
    // Beyond the slider's end as well: it is only as long as is usual.
    const read = Number.isFinite(n) && n >= Math.min(0, min)
    if (meant && read) onChange(n)
    // Whoever stays in the field and types what stood there first means that too.
    setEntered(read && meant ? asFits(n) : shown)
    // What can't be read stays, and is pointed at before anything is saved.
    const stays = !read && text.trim() !== '' && text !== entered
    setTyped(stays ? text : null)
    setHeld(stays ? text : undefined)
  }
  return (
    <div>
      <div className="flex items-baseline justify-between gap-2">
        <label htmlFor={id} className="text-soft text-sm font-medium">
          {label}
        </label>
        <span className="flex items-baseline gap-1 whitespace-nowrap">
          <input
            type="text"
            inputMode="decimal"
            aria-label={`${label}, exactly`}
            className="hover:border-line focus:border-water w-16 border-b-2 border-transparent bg-transparent text-right text-lg font-semibold"
            value={typed ?? shown}
            data-held={held}
            aria-invalid={held ? true : undefined}
            aria-describedby={held ? `${id}-held` : undefined}
            onFocus={(e) => {
              if (held === undefined) {
                setEntered(shown)
                setTyped(shown)
              }
              e.currentTarget.select()
            }}
            onChange={(e) => {
              setHeld(undefined)
              setTyped(e.target.value)
            }}
            onBlur={(e) => take(e.currentTarget.value)}
            onKeyDown={(e) => {
              if (e.key === 'Enter') {
                e.preventDefault()
                // Typed and confirmed, it stays, even where it is what was proposed.
                take(e.currentTarget.value, true)
              }
            }}
          />
          <span className="text-soft text-sm font-normal">{unit}</span>
        </span>
      </div>
      <input
        id={id}
        type="range"
        className="h-8 w-full"
        min={min}
        max={Math.max(max, value)}
        step={step}
        value={value}
        aria-valuetext={`${value} ${unit}`}
        onChange={(e) => {
          setTyped(null)
          setHeld(undefined)
          onChange(Number(e.target.value))
        }}
      />
      {held && (
        <p id={`${id}-held`} role="alert" className="text-madder text-sm font-medium">
          “{held}” is no figure that fits here: {value} {unit} still counts. Type it anew, or clear it
        </p>
      )}
    </div>
  )
}
