import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { Button, ButtonLink, Input, Toggle } from '../../ui/controls'
import { DANGER, STAGE } from '../../ui/dictionary'
import { forget, useKept } from '../../ui/kept'
import { ProblemNotice } from '../../ui/page'
import { useChange } from '../Edit'
import { useComparison, useTaxa } from '../queries'

type TaxonView = Schemas['TaxonView']

/** What a plant is taken for: the other plant, what is said of the pair, and the characters that tell it for sure. */
export function LookAlikes({ t }: { t: TaxonView }) {
  const change = useChange(t.id)
  return (
    <div className="space-y-2">
      <ul>
        {t.lookAlikes.map((l) => (
          <li key={l.taxon} className="border-line flex flex-wrap items-center gap-3 border-b py-1">
            <span className="flex-1">
              <strong>{l.commonName}</strong>, {DANGER[l.danger]}: {l.tells}
              <span className="text-soft block text-sm">
                {l.tellable.length > 0
                  ? `By what both cards say it can be told when ${l.tellable.map((s) => STAGE[s]).join(', ')}.`
                  : 'By what both cards say it can’t be told yet at any stage.'}
              </span>
            </span>
            <Button
              aria-label={`Take off: ${l.commonName}`}
              disabled={change.isPending}
              onClick={() =>
                change.mutate((c) => ({
                  ...c,
                  lookAlikes: (c.lookAlikes ?? []).filter((x) => x.taxon !== l.taxon),
                }))
              }
            >
              Take off
            </Button>
          </li>
        ))}
      </ul>
      <ProblemNotice error={change.error} />
      <Add t={t} />
    </div>
  )
}

function Add({ t }: { t: TaxonView }) {
  const draft = `${t.id} a look-alike`
  const taxa = useTaxa()
  const change = useChange(t.id)
  const [taxon, setTaxon] = useKept(draft, 'taxon', '')
  const [tells, setTells] = useKept(draft, 'tells', '')
  const [decisive, setDecisive] = useKept<string[]>(draft, 'decisive', [])
  const first = t.months.find((m) => m.stage === 'FLOWERING') ?? t.months[0]
  const [stage, setStage] = useState(first?.stage ?? 'FLOWERING')
  const [tried, setTried] = useState(false)
  const comparison = useComparison(t.id, taxon, stage)
  return (
    <form
      className="space-y-3"
      aria-label="Add a look-alike"
      onSubmit={(e) => {
        e.preventDefault()
        setTried(true)
        if (taxon === '' || tells.trim() === '') return
        change.mutate(
          (c) => ({
            ...c,
            lookAlikes: [
              ...(c.lookAlikes ?? []).filter((l) => l.taxon !== taxon),
              { taxon, decisive, tells: tells.trim() },
            ],
          }),
          {
            onSuccess: () => {
              forget(draft)
              setTaxon('')
              setTells('')
              setDecisive([])
              setTried(false)
            },
          },
        )
      }}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <Choose
          label="Looks like"
          value={taxon}
          choices={(taxa.data ?? [])
            .filter((x) => x.id !== t.id)
            .map((x) => ({ value: x.id, label: x.commonName, hint: x.name }))}
          error={tried && taxon === '' ? 'is still wanted' : undefined}
          onChange={(x) => {
            setTaxon(x)
            setDecisive([])
          }}
        />
        <Input
          label="What tells them apart, in your words"
          value={tells}
          error={tried && tells.trim() === '' ? 'is still wanted' : undefined}
          onChange={(e) => setTells(e.target.value)}
        />
      </div>
      <p className="text-sm">
        A plant that has no card yet: <ButtonLink to="/herbarium/new">write its card first</ButtonLink> and
        come back; what is typed here stays.
      </p>
      {comparison.data && (
        <fieldset>
          <legend className="font-medium">
            What both cards say of them, and what tells them for sure whenever it is seen
          </legend>
          <Choose
            label="At which stage"
            value={stage}
            choices={t.months.map((m) => ({ value: m.stage, label: STAGE[m.stage] }))}
            onChange={setStage}
          />
          {comparison.data.tells.length === 0 && <p>Nothing yet: say more characters of this plant first.</p>}
          {comparison.data.tells.map((c) => (
            <Toggle
              key={c.character}
              label={`${c.name}: ${c.here} here, not ${c.there}`}
              checked={decisive.includes(c.character)}
              onChange={() =>
                setDecisive(
                  decisive.includes(c.character)
                    ? decisive.filter((x) => x !== c.character)
                    : [...decisive, c.character],
                )
              }
            />
          ))}
        </fieldset>
      )}
      <ProblemNotice error={change.error} />
      <Button kind="main" type="submit" disabled={change.isPending}>
        Keep the look-alike
      </Button>
    </form>
  )
}
