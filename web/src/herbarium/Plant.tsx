import { useParams } from 'react-router'
import type { Schemas } from '../api/client'
import { Button } from '../ui/controls'
import { Danger } from '../ui/Danger'
import { Empty, Loaded, Page, SafetyLine, Section } from '../ui/page'
import { tray } from '../ui/tray'
import { figure, lower, month, range, title } from '../ui/words'
import { PlantDrawing, usualStates } from './drawing'
import { useTaxon } from './queries'

type TaxonView = Schemas['TaxonView']
type Source = Schemas['SourceView']

function Sourced({ source }: { source: Source }) {
  return (
    <span className="text-soft text-sm">
      {source.title}, {source.year}; {lower(source.evidence)};{' '}
      <strong>{source.review === 'STARTER' ? 'not checked by this household' : 'checked'}</strong>
    </span>
  )
}

export function Plant() {
  const { id = '' } = useParams()
  const taxon = useTaxon(id)
  return <Loaded query={taxon}>{(t) => <Card t={t} />}</Loaded>
}

function Card({ t }: { t: TaxonView }) {
  return (
    <Page
      title={t.commonNames[0] ?? t.name}
      actions={
        <Button onClick={() => tray.put({ kind: 'plant', id: t.id, label: t.commonNames[0] ?? t.name })}>
          Put on the tray
        </Button>
      }
    >
      <p className="mb-3">
        <span className="font-plant text-lg italic">{t.name}</span> {t.author} · {t.family} · {t.lifeForm} ·{' '}
        <Danger level={t.danger} />
        {t.olderNames.length > 0 && (
          <span className="text-soft block text-sm">in older books {t.olderNames.join(', ')}</span>
        )}
      </p>
      <div className="grid gap-3 lg:grid-cols-[14rem_1fr_1fr]">
        <Section>
          <PlantDrawing
            characters={usualStates(t.characters)}
            label={`Drawing of ${t.commonNames[0] ?? t.name} from its characters`}
          />
          <p className="text-sm">{t.habitat}</p>
          {t.hazards.map((h) => (
            <p key={h} className="text-amber text-sm font-medium">
              {h}
            </p>
          ))}
        </Section>
        <div className="space-y-3">
          <Section title="Look-alikes">
            {t.lookAlikes.length === 0 && <Empty>None listed.</Empty>}
            {t.lookAlikes.map((l) => (
              <div key={l.taxon} className="mb-2">
                <p className="font-medium">
                  {l.commonName} <Danger level={l.danger} />
                </p>
                <p>{l.tells}</p>
              </div>
            ))}
          </Section>
          <Section title="Parts and doses">
            {t.parts.length === 0 && <Empty>Nothing of it is gathered.</Empty>}
            {t.parts.map((p) => (
              <div key={p.part} className="border-line mb-3 border-l-2 pl-3">
                <h3 className="font-semibold">
                  {title(p.part)}, {p.routes.map(lower).join(' and ')} use
                </h3>
                <p>{p.moment}</p>
                <p className="text-soft text-sm">
                  {p.months.map(month).join(', ')} · {p.method} · share of each plant{' '}
                  {figure(p.sharePerPlant * 100)} %, of the stand {figure(p.shareOfStand * 100)} %
                  {p.dryAtC ? ` · dry at ${figure(p.dryAtC)} °C` : ''}
                </p>
                {p.spirit && (
                  <p>
                    Tincture 1:{figure(p.spirit.ratio)} in {figure(p.spirit.menstruumPercent)} % vol.{' '}
                    <Sourced source={p.spirit.source} />
                  </p>
                )}
                {p.doses.map((d) => (
                  <p key={d.use + d.form}>
                    {title(d.use)}, {d.form}: <strong>{range(d.driedGPerDay)} g</strong> of dried herb a day
                    from {d.fromAgeYears} years{d.mostDays ? `, at most ${d.mostDays} days` : ''}.{' '}
                    <Sourced source={d.source} />
                  </p>
                ))}
                {p.doses.length === 0 && <p className="text-soft">No dose on the card: none is given.</p>}
              </div>
            ))}
          </Section>
          <Section title="Cautions">
            <p className="text-soft mb-1 text-sm">
              What is not listed here has not been checked: unknown, not safe.
            </p>
            <ul className="space-y-1">
              {t.cautions.map((c) => (
                <li key={c.subject + c.value}>
                  <strong>
                    {title(c.subject)} {lower(c.value)}: {lower(c.status)}
                  </strong>{' '}
                  {c.effect}. <Sourced source={c.source} />
                </li>
              ))}
            </ul>
          </Section>
        </div>
        <Section title="Characters">
          <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-sm">
            {t.characters.map((c) => (
              <div key={c.character + c.stages.join()} className="contents">
                <dt className="text-soft">{c.name}</dt>
                <dd>{c.states.map((s) => `${lower(s.frequency)} ${s.words}`).join('; ')}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-2">
            <Sourced source={t.source} />
          </p>
        </Section>
      </div>
      <div className="mt-4">
        <SafetyLine />
      </div>
    </Page>
  )
}
