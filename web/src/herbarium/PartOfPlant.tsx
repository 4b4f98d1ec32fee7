import { useContext } from 'react'
import type { Schemas } from '../api/client'
import { CONSTITUENT, FROST, PART, ROUTE, STAGE, TEA_METHOD } from '../ui/dictionary'
import { capital, figure, month, range } from '../ui/words'
import { Edit, Editing, withPart } from './Edit'
import { ROWS } from './partFields'
import { Sourced } from './Sourced'

type TaxonView = Schemas['TaxonView']
type Part = Schemas['PartView']

/** One part: when, how much, how, what of it; every figure with where it comes from. */
export function PartOfPlant({ t, p, checks }: { t: TaxonView; p: Part; checks: Schemas['CheckView'][] }) {
  const editing = useContext(Editing)
  const edit = (
    label: string,
    value: string,
    shown: React.ReactNode,
    set: (v: string) => Partial<Schemas['PartFile']>,
    kind: 'text' | 'number' | 'range' = 'number',
    unit?: string,
  ) => (
    <Edit
      taxon={t.id}
      label={`${label} of the ${PART[p.part]}`}
      value={value}
      kind={kind}
      {...(unit ? { unit } : {})}
      change={(c, v) => withPart(c, p.part, set(v))}
    >
      {shown}
    </Edit>
  )
  return (
    <div className="border-line mb-3 border-l-2 pl-3">
      <h3 className="font-semibold">
        {capital(PART[p.part])}, {p.routes.map((r) => ROUTE[r]).join(' and ')}
      </h3>
      <p>{edit('moment', p.moment, p.moment, (moment) => ({ moment }), 'text')}</p>
      <p className="text-soft text-sm">
        {p.months.map(month).join(', ')}
        {p.stages.length > 0 && ` · ${p.stages.map((stage) => STAGE[stage]).join(', ')}`}
        {p.frost ? ` · ${FROST[p.frost]}` : ''}
        {p.aromatic && ' · aromatic'}
      </p>
      <p className="text-sm">
        {edit('method', p.method, p.method, (method) => ({ method }), 'text')}{' '}
        {p.tools && <span className="text-soft">Take {p.tools}.</span>}
      </p>
      <dl className="text-sm">
        {/* What nobody knows is said where it can be filled in. */}
        {ROWS.filter((row) => editing || row.written(p) !== '').map((row) => (
          <Row key={row.name} name={row.name}>
            {edit(row.label, row.written(p), row.shown(p), row.set, row.kind, row.unit)}
          </Row>
        ))}
      </dl>
      {p.spirit && (
        <p>
          Tincture 1:{figure(p.spirit.ratio)} in {figure(p.spirit.menstruumPercent)} % vol.{' '}
          <Sourced source={p.spirit.source} taxon={t.id} checks={checks} />
        </p>
      )}
      {p.tea && (
        <p>
          {capital(TEA_METHOD[p.tea.method as keyof typeof TEA_METHOD])}, {figure(p.tea.gramsPerCup)} g to{' '}
          {figure(p.tea.cupMl)} mL, {figure(p.tea.minutes)} minutes.{' '}
          <Sourced source={p.tea.source} taxon={t.id} checks={checks} />
        </p>
      )}
      {p.doses.map((d) => (
        <p key={d.use + d.form}>
          {capital(d.use)}, {d.form}: <strong>{range(d.driedGPerDay)} g</strong> of dried herb a day from{' '}
          {d.fromAgeYears} years{d.mostDays ? `, at most ${d.mostDays} days` : ''}.{' '}
          <Sourced source={d.source} taxon={t.id} checks={checks} />
        </p>
      ))}
      {p.contents.map((c) => (
        <p key={c.constituent}>
          Holds {range(c.mgPerG)} mg of {CONSTITUENT[c.constituent].toLowerCase()} in a gram
          {c.mostMgPerDay != null && `, of which ${figure(c.mostMgPerDay)} mg a day are the most`}
          {c.mostMgPerKgPerDay != null && `, ${figure(c.mostMgPerKgPerDay)} mg for each kg of body`}.{' '}
          <span className="text-soft text-sm">{c.source}</span>
        </p>
      ))}
      {p.doses.length === 0 && <p className="text-soft">No dose on the card: none is given.</p>}
    </div>
  )
}

function Row({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div className="border-line flex justify-between gap-3 border-b py-0.5">
      <dt className="text-soft">{name}</dt>
      <dd>{children}</dd>
    </div>
  )
}
