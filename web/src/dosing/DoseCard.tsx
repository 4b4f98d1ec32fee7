import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { useTaxa } from '../herbarium/queries'
import { useLot } from '../shelf/queries'
import { Button } from '../ui/controls'
import { PART, WAY } from '../ui/dictionary'
import { Loaded, Page, SafetyLine } from '../ui/page'
import { date, figure } from '../ui/words'
import { CourseStrip } from './Calendar'
import { whenOf } from './Course'
import { useCourse } from './queries'

/** What goes with a bottle to whoever takes it: how much, when, how slowly, what to look out for, whom to call. */
export function DoseCard() {
  const { id = '' } = useParams()
  const course = useCourse(id)
  return <Loaded query={course}>{(c) => <Card course={c} />}</Loaded>
}

function Card({ course: c }: { course: Schemas['CourseView'] }) {
  const lot = useLot(c.lotId)
  const taxa = useTaxa()
  const help = useQuery({
    queryKey: ['help', c.personId],
    queryFn: () => ask(api.GET('/api/dosing/people/{id}/help', { params: { path: { id: c.personId } } })),
  })
  const full = Math.max(...c.days.map((d) => d.perDose))
  const most = Math.max(...c.days.map((d) => d.doses))
  const changes = c.days.some((d) => d.doses > 0 && Math.abs(d.perDose - full) > 1e-6)
  const pauses = c.days.some((d) => d.doses === 0)
  const mind = c.findings.filter((f) => f.severity === 'WARN' || f.code === 'INTACT_SKIN')
  return (
    <Page
      title={`Dose card: ${c.person}, ${c.product}`}
      actions={<Button onClick={() => window.print()}>Print it</Button>}
    >
      <article className="bg-sheet border-ink max-w-3xl space-y-3 border-2 px-5 py-4">
        {!c.dosable && (
          <p className="text-madder text-xl font-bold">
            Not to be taken now:{' '}
            {c.findings.find((f) => f.severity === 'STOP' || f.severity === 'HOLD')?.message}
          </p>
        )}
        <header>
          <p className="text-2xl font-bold">{c.product}</p>
          <p>
            for <strong>{c.person}</strong>
            {c.use ? `, for ${c.use}` : ''}; lot {c.lotCode}
            {lot.data?.bestBefore ? `, keeps until ${date(lot.data.bestBefore)}` : ''}
          </p>
          <ul className="text-soft text-sm">
            {lot.data?.herbs.map((h) => (
              <li key={h.taxonId + h.part}>
                {h.commonName} (
                <span className="font-plant italic">{taxa.data?.find((t) => t.id === h.taxonId)?.name}</span>
                ), {PART[h.part]}
              </li>
            ))}
          </ul>
        </header>
        <p className="text-xl">
          {c.way === 'SKIN' ? (
            <>A thin layer{c.countedOut && `, ${c.countedOut}`}</>
          ) : (
            <strong>
              {c.countedOut || `${figure(full)} ${c.unit}`}
              {c.countedOut && ` (${figure(full)} ${c.unit})`}
            </strong>
          )}
          , {c.pattern}, at most {most === 1 ? 'once' : `${most} times`} a day, {whenOf(c)}, {WAY[c.way]}
          {c.timing?.overMinutes ? `, drunk slowly over ${c.timing.overMinutes} minutes` : ''}.
        </p>
        <p>
          From {date(c.startOn)} to {date(c.lastDay)} at most
          {c.untilBetter ? ', and only until it is better' : ''}
          {changes ? '; less on the first or last days, as drawn' : ''}
          {pauses ? '; with pauses, as drawn' : ''}. A dose that was missed is not made up for.
        </p>
        <CourseStrip days={c.days} today="" unit={c.unit} />
        {mind.length > 0 && (
          <section>
            <h2 className="font-semibold">Mind</h2>
            <ul className="list-disc pl-5">
              {mind.map((f) => (
                <li key={f.code + f.message}>
                  {f.message} {f.action}
                </li>
              ))}
            </ul>
          </section>
        )}
        <section className="border-madder border-l-8 pl-3">
          <h2 className="text-lg font-semibold">Stop and get help at</h2>
          <p>{c.dangerSigns.join(', ')}.</p>
          <p>A doctor today at: {c.doctorToday.join(', ')}.</p>
          <p>
            Emergency: <strong>{help.data?.emergencyNumber || '__________'}</strong>; poison centre:{' '}
            <strong>{help.data?.poisonCentre || '__________'}</strong>. Say what is on this card.
          </p>
        </section>
        <p className="text-sm">
          Medicines are changed by whoever prescribed them, never for this. Tell the doctor and pharmacist
          that you take it.
        </p>
      </article>
      <div className="mt-4 print:hidden">
        <SafetyLine />
      </div>
    </Page>
  )
}
