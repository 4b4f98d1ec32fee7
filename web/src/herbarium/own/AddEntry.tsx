import { useState } from 'react'
import { errorAt, type Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { Button, Input, NumberInput, Toggle } from '../../ui/controls'
import { forget, useKept } from '../../ui/kept'
import { ProblemNotice } from '../../ui/page'
import { useChange } from '../Edit'
import { Months } from '../Months'
import { Values, type Entry, type Field } from './fields'

type TaxonView = Schemas['TaxonView']
type Typed = Record<string, string | string[]>

const MISSING = 'is still wanted'

/** The form of one thing that is added to a card. What is typed stays until it is kept, also over a reload. */
export function AddEntry({ t, entry, onDone }: { t: TaxonView; entry: Entry; onDone: () => void }) {
  const draft = `${t.id} ${entry.one}`
  const change = useChange(t.id)
  const [typed, setTyped] = useKept<Typed>(draft, 'typed', {})
  const [tried, setTried] = useState(false)
  const values = new Values(typed)
  const asked = entry.fields.filter((f) => f.when?.(values) ?? true)
  const missing = asked.filter((f) => !f.optional && values.empty(f.name))
  return (
    <form
      className="grid gap-3 sm:grid-cols-2"
      aria-label={`Add ${entry.one}`}
      onSubmit={(e) => {
        e.preventDefault()
        setTried(true)
        if (missing.length > 0) return
        change.mutate((c) => entry.add(c, values), {
          onSuccess: () => {
            forget(draft)
            onDone()
          },
        })
      }}
    >
      {asked.map((f) => (
        <FieldOf
          key={f.name}
          t={t}
          field={f}
          values={values}
          error={tried && missing.includes(f) ? MISSING : errorAt(change.error, `${entry.at(t)}.${f.name}`)}
          onChange={(value) => setTyped(stillOffered(t, entry, { ...typed, [f.name]: value }))}
        />
      ))}
      <div className="space-y-2 sm:col-span-2">
        <ProblemNotice error={change.error} />
        <div className="flex flex-wrap gap-2">
          <Button kind="main" type="submit" disabled={change.isPending}>
            Keep {entry.one}
          </Button>
          <Button onClick={onDone}>Close</Button>
        </div>
      </div>
    </form>
  )
}

/** Without what was chosen of a list that is another list now. */
function stillOffered(t: TaxonView, entry: Entry, typed: Typed): Typed {
  const values = new Values(typed)
  const gone = entry.fields.filter(
    (f) =>
      f.kind === 'choice' &&
      !values.empty(f.name) &&
      !f.choices(t, values).some((c) => c.value === values.text(f.name)),
  )
  return Object.fromEntries(Object.entries(typed).filter(([name]) => !gone.some((f) => f.name === name)))
}

function FieldOf({
  t,
  field,
  values,
  error,
  onChange,
}: {
  t: TaxonView
  field: Field
  values: Values
  error: string | undefined
  onChange: (value: string | string[]) => void
}) {
  const hint = field.hint ? { hint: field.hint } : {}
  switch (field.kind) {
    case 'text':
      return (
        <Input
          label={field.label}
          {...hint}
          value={values.typed(field.name)}
          error={error}
          onChange={(e) => onChange(e.target.value)}
        />
      )
    case 'number':
      return (
        <NumberInput
          label={field.label}
          {...hint}
          {...(field.unit ? { unit: field.unit } : {})}
          value={values.typed(field.name)}
          error={error}
          onChange={onChange}
        />
      )
    case 'choice':
      return (
        <Choose
          label={field.label}
          value={values.text(field.name)}
          choices={field.choices(t, values)}
          error={error}
          onChange={onChange}
        />
      )
    case 'months':
      return (
        <div className="sm:col-span-2">
          <Months
            label={field.label}
            value={values.months(field.name)}
            onChange={(m) => onChange(m.map(String))}
          />
          <Wrong error={error} />
        </div>
      )
    case 'toggles':
      if (field.choices(t, values).length === 0) return null
      return (
        <fieldset className="sm:col-span-2">
          <legend className="text-soft text-sm font-medium">{field.label}</legend>
          <div className="flex flex-wrap gap-x-4">
            {field.choices(t, values).map((c) => {
              const on = values.list<string>(field.name)
              return (
                <Toggle
                  key={c.value}
                  label={c.label}
                  checked={on.includes(c.value)}
                  onChange={() =>
                    onChange(on.includes(c.value) ? on.filter((x) => x !== c.value) : [...on, c.value])
                  }
                />
              )
            })}
          </div>
          <Wrong error={error} />
        </fieldset>
      )
  }
}

const Wrong = ({ error }: { error: string | undefined }) =>
  error ? (
    <p role="alert" className="text-madder text-sm font-medium">
      {error}
    </p>
  ) : null
