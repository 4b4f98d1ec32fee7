import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { useSession } from '../household/queries'
import { ButtonLink } from '../ui/controls'
import { STAGE } from '../ui/dictionary'
import { Loaded, Page, SafetyLine } from '../ui/page'
import { capital, month } from '../ui/words'
import { useTaxon } from '../herbarium/queries'

type At = Schemas['WhenView']

const SURE: Record<At['sure'], { word: string; tone: string; says: string }> = {
  ALONE: {
    word: 'by one look',
    tone: 'border-lichen',
    says: 'One look can make it certain, where enough of it is seen.',
  },
  WITH_ANOTHER: {
    word: 'by two looks',
    tone: 'border-water',
    says: 'Two looks that agree can make it certain: of two people, or of another day and other plants.',
  },
  NEVER: { word: 'not yet', tone: 'border-amber', says: 'No look makes it certain at this stage.' },
}

/** When a named plant can be made certain. It asks nothing and confirms nothing. */
export function When() {
  const { id = '' } = useParams()
  const taxon = useTaxon(id)
  const session = useSession()
  const region = session.data?.region ?? ''
  const when = useQuery({
    queryKey: ['when', id, region],
    enabled: region !== '',
    queryFn: ({ signal }) =>
      ask(api.GET('/api/calculators/identify/when', { params: { query: { taxon: id, region } }, signal })),
  })
  return (
    <Loaded query={taxon}>
      {(t) => (
        <Page
          title={`When can I be sure of ${t.commonNames[0] ?? t.name}?`}
          actions={
            <>
              <ButtonLink to="/field/identify">What is this?</ButtonLink>
              <ButtonLink to={`/herbarium/${t.id}/compare`}>What it is taken for</ButtonLink>
              <ButtonLink to={`/herbarium/${t.id}`}>Its card</ButtonLink>
            </>
          }
        >
          <p className="mb-3 max-w-3xl">
            Reckoned from the cards alone, for a plant that really is it and of which everything is seen. It
            says when looking is worth the walk; what stands there is settled by a look that names nothing.
          </p>
          <Loaded query={when}>
            {(all) =>
              all.length === 0 ? (
                <p>Its card knows no stage of it here.</p>
              ) : (
                <ol className="grid gap-3 lg:grid-cols-2">
                  {all.map((at) => (
                    <li key={at.stage} className={`bg-sheet border-l-8 px-3 py-2 ${SURE[at.sure].tone}`}>
                      <h2 className="text-lg font-semibold">
                        {capital(STAGE[at.stage])}: {SURE[at.sure].word}
                      </h2>
                      <p className="text-soft text-sm">{at.months.map(month).join(', ')}</p>
                      <p>{SURE[at.sure].says}</p>
                      {at.inTheWay.length > 0 && (
                        <p>
                          In the way:{' '}
                          {at.inTheWay
                            .slice(0, 8)
                            .map((t) => t.name)
                            .join(', ')}
                          {at.inTheWay.length > 8 && ` and ${at.inTheWay.length - 8} more`}.
                        </p>
                      )}
                      {at.unsaid.length > 0 && (
                        <p className="border-amber border-l-4 pl-2">
                          The card says too little yet. Look at the plant and say on its card:{' '}
                          {at.unsaid.map((c) => c.name.toLowerCase()).join('; ')}.
                        </p>
                      )}
                      {at.by.length > 0 && (
                        <p className="text-sm">
                          Worth learning first: {at.by.map((c) => c.name.toLowerCase()).join('; ')}.
                        </p>
                      )}
                    </li>
                  ))}
                </ol>
              )
            }
          </Loaded>
          <div className="mt-4">
            <SafetyLine />
          </div>
        </Page>
      )}
    </Loaded>
  )
}
