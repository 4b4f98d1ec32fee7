import { useQuery } from '@tanstack/react-query'
import { Sent, useCommand } from '../ui/command'
import { useState } from 'react'
import { Link } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Button, Input, Toggle } from '../ui/controls'
import { MARK, OUTLINE } from '../ui/dictionary'
import { FileInput } from '../ui/FileInput'
import { Only } from '../ui/may'
import { Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { degreesOf } from '../ui/read'
import { figure } from '../ui/words'
import { boundsOf, apart, onPaper, tall, type Bounds, type Point } from './paper'
import { useNarrow } from '../ui/useNarrow'
import { useOutThere, type Note } from '../notes/queries'
import { useStands } from './queries'
import { useSeason } from './Season'

type Shape = Schemas['ShapeView']
type Kind = Shape['kind']
type Stand = Schemas['StandView']
type Standing = Schemas['MarkView']['mark']

export const useGround = () =>
  useQuery({ queryKey: ['ground'], queryFn: () => ask(api.GET('/api/field/ground')) })

const KINDS = (Object.keys(OUTLINE) as Kind[]).map((k) => ({ value: k, label: OUTLINE[k] }))
const AREAS: Kind[] = ['SHORE', 'WATER', 'WOOD', 'MEADOW', 'HOUSE']

const PEN: Record<Kind, { fill: string; stroke: string; width: number; dash?: string; opacity?: number }> = {
  SHORE: { fill: 'var(--sheet)', stroke: 'var(--water)', width: 2.5 },
  MEADOW: { fill: 'url(#meadow)', stroke: 'var(--lichen)', width: 1, dash: '1 4' },
  WOOD: { fill: 'url(#wood)', stroke: 'var(--lichen)', width: 1.2 },
  WATER: { fill: 'var(--water)', stroke: 'var(--water)', width: 1.5, opacity: 0.35 },
  ROAD: { fill: 'none', stroke: 'var(--soft)', width: 4 },
  PATH: { fill: 'none', stroke: 'var(--ink)', width: 1.5, dash: '6 4' },
  HOUSE: { fill: 'var(--ink)', stroke: 'var(--ink)', width: 1.5 },
}

/** What lies beneath is drawn first. */
const ORDER: Kind[] = ['SHORE', 'MEADOW', 'WOOD', 'WATER', 'ROAD', 'PATH', 'HOUSE']

const SIZE: Record<Stand['plenty'], number> = { PLENTIFUL: 13, FAIR: 10, SCARCE: 7, DECLINING: 7 }
const LEGEND = Object.keys(MARK) as Standing[]

/** A mark by readiness: a full drop, a drop half full, a bud, a ring, a cross. A plant nobody knows is a question. */
function Mark({ state, size }: { state: Standing; size: number }) {
  const s = size
  switch (state) {
    case 'READY':
      return (
        <path
          d={`M0 ${-s}C${s} 0 ${s * 0.8} ${s} 0 ${s}S${-s} 0 0 ${-s}Z`}
          fill="var(--lichen)"
          stroke="var(--ink)"
        />
      )
    case 'LIKELY':
      return (
        <>
          <path
            d={`M0 ${-s}C${s} 0 ${s * 0.8} ${s} 0 ${s}S${-s} 0 0 ${-s}Z`}
            fill="var(--sheet)"
            stroke="var(--ink)"
          />
          <path d={`M0 ${-s}C${s} 0 ${s * 0.8} ${s} 0 ${s}Z`} fill="var(--lichen)" />
        </>
      )
    case 'SOON':
      return (
        <path
          d={`M0 ${-s}L${s * 0.6} ${s}H${-s * 0.6}Z`}
          fill="var(--amber-pale)"
          stroke="var(--amber)"
          strokeWidth="2"
        />
      )
    case 'LATER':
      return <circle r={s * 0.7} fill="var(--sheet)" stroke="var(--soft)" strokeWidth="2" />
    case 'OVER':
      return (
        <path
          d={`M${-s * 0.6} ${-s * 0.6}L${s * 0.6} ${s * 0.6}M${s * 0.6} ${-s * 0.6}L${-s * 0.6} ${s * 0.6}`}
          stroke="var(--soft)"
          strokeWidth="2.5"
        />
      )
    case 'WATCHED':
      return <ellipse rx={s} ry={s * 0.55} fill="var(--sheet)" stroke="var(--soft)" strokeWidth="2" />
    case 'KEEP_OFF':
      return (
        <>
          <path
            d={`M${-s} ${-s * 0.7}H${s}V${s * 0.7}H${-s}Z`}
            fill="var(--madder-pale)"
            stroke="var(--madder)"
            strokeWidth="2"
          />
          <path
            d={`M${-s * 0.5} ${-s * 0.7}V${s * 0.7}M${s * 0.5} ${-s * 0.7}V${s * 0.7}`}
            stroke="var(--madder)"
            strokeWidth="2"
          />
        </>
      )
    case 'UNKNOWN':
      return (
        <text textAnchor="middle" y={s * 0.6} fontSize={s * 2} fontWeight="700" fill="var(--amber)">
          ?
        </text>
      )
  }
}

/** Units across; on a phone fewer, so that marks and names are as large as on a desk. */
const WIDE = 900
const NARROW = 430

/** Between the middles of two marks, so that a thumb finds either. */
const APART = 34

/** The household's ground in the pen that the plants are drawn with; each stand is a mark and a link. */
export function GroundMap({
  shapes,
  stands,
  season,
  bounds,
  chosen,
  onChoose,
  drawing,
  onPoint,
  notes = [],
  waiting = [],
}: {
  shapes: Shape[]
  stands: Stand[]
  season: Schemas['SeasonView'] | undefined
  bounds: Bounds
  chosen: string | undefined
  onChoose: (id: string | undefined) => void
  /** Points of a line that is being drawn. */
  drawing?: { kind: Kind; points: Point[] } | undefined
  onPoint?: (p: Point) => void
  /** What was written down where no stand is. */
  notes?: Note[]
  /** Stands that somebody means to come back to. */
  waiting?: string[]
}) {
  const W = useNarrow() ? NARROW : WIDE
  const H = Math.round(W * Math.min(1.1, Math.max(0.5, tall(bounds))))
  const paper = onPaper(bounds, W, H)
  const d = (points: Point[], closed: boolean) =>
    points
      .map(
        (p, i) =>
          `${i === 0 ? 'M' : 'L'}${paper
            .to(p)
            .map((n) => n.toFixed(1))
            .join(' ')}`,
      )
      .join('') + (closed ? 'Z' : '')
  const [moved, setAt] = useState<[number, number]>()
  const at = moved ?? [W / 2, H / 2]
  const move = (x: number, y: number) =>
    setAt([Math.min(W, Math.max(0, at[0] + x)), Math.min(H, Math.max(0, at[1] + y))])
  const { placed, slips } = placedOn(paper, stands, notes, W, H)
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className={`bg-water-pale max-h-[38rem] w-full ${onPoint ? 'cursor-crosshair' : ''}`}
      role={onPoint ? 'application' : 'group'}
      aria-label={onPoint ? 'The map to draw on: arrows move the cross, Enter sets a point' : 'The ground'}
      tabIndex={onPoint ? 0 : undefined}
      onClick={(e) => {
        if (!onPoint) return
        const box = e.currentTarget.getBoundingClientRect()
        onPoint(
          paper.from([((e.clientX - box.left) / box.width) * W, ((e.clientY - box.top) / box.height) * H]),
        )
      }}
      onKeyDown={(e) => {
        if (!onPoint) return
        const step = e.shiftKey ? 50 : 10
        const moves: Record<string, [number, number]> = {
          ArrowLeft: [-step, 0],
          ArrowRight: [step, 0],
          ArrowUp: [0, -step],
          ArrowDown: [0, step],
        }
        const by = moves[e.key]
        if (by) move(...by)
        else if (e.key === 'Enter') onPoint(paper.from(at))
        else return
        e.preventDefault()
      }}
    >
      <Patterns />
      <Outlines shapes={shapes} d={d} paper={paper} />
      {drawing && drawing.points.length > 0 && (
        <>
          <path d={d(drawing.points, false)} fill="none" stroke="var(--madder)" strokeWidth="3" />
          {drawing.points.map((p, i) => {
            const [x, y] = paper.to(p)
            return <circle key={i} cx={x} cy={y} r="5" fill="var(--madder)" />
          })}
        </>
      )}
      {placed.map(({ stand: s, at: place, true: truly }) => (
        <StandAt
          key={s.id}
          s={s}
          state={season?.marks.find((m) => m.standId === s.id)?.mark ?? 'WATCHED'}
          onChoose={onChoose}
          drawing={onPoint !== undefined}
          at={place}
          truly={truly}
          chosen={chosen}
          W={W}
          waiting={waiting.includes(s.id)}
        />
      ))}
      {slips.map(({ note, at: place }) => (
        <NoteAt key={note.id} note={note} at={place} drawing={onPoint !== undefined} />
      ))}
      {onPoint && (
        <path
          d={`M${at[0] - 12} ${at[1]}h24M${at[0]} ${at[1] - 12}v24`}
          stroke="var(--madder)"
          strokeWidth="2"
          aria-hidden
        />
      )}
    </svg>
  )
}

/** What is drawn of the ground, and its names. */
function Outlines({
  shapes,
  d,
  paper,
}: {
  shapes: Shape[]
  d: (points: Point[], closed: boolean) => string
  paper: ReturnType<typeof onPaper>
}) {
  return (
    <>
      {ORDER.flatMap((k) => shapes.filter((s) => s.kind === k)).map((s) => {
        const pen = PEN[s.kind]
        return (
          <path
            key={s.id}
            d={d(s.points as Point[], AREAS.includes(s.kind))}
            fill={pen.fill}
            fillOpacity={pen.opacity}
            stroke={pen.stroke}
            strokeWidth={pen.width}
            strokeDasharray={pen.dash}
            strokeLinejoin="round"
            strokeLinecap="round"
          />
        )
      })}
      {shapes
        .filter((s) => s.name !== '')
        .map((s) => {
          const p = paper.to(AREAS.includes(s.kind) ? top(s) : middle(s))
          return (
            <text
              key={s.id}
              x={p[0]}
              y={p[1] + (s.kind === 'HOUSE' ? -6 : AREAS.includes(s.kind) ? 22 : -6)}
              textAnchor="middle"
              fontSize="17"
              fill={s.kind === 'WATER' ? 'var(--water)' : 'var(--soft)'}
              className={s.kind === 'SHORE' ? 'font-plant italic' : ''}
              style={{ paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 3 }}
            >
              {s.name}
            </text>
          )
        })}
    </>
  )
}

/** Trees and grass, as they fill a shape. */
function Patterns() {
  return (
    <defs>
      <pattern id="wood" width="22" height="20" patternUnits="userSpaceOnUse">
        <path
          d="M4 14q3 -8 6 0M15 18q3 -8 6 0M7 14v3M18 18v2"
          fill="none"
          stroke="var(--lichen)"
          strokeWidth="1.4"
        />
      </pattern>
      <pattern id="meadow" width="26" height="18" patternUnits="userSpaceOnUse">
        <path
          d="M4 14l2 -6M7 14l0 -7M10 14l-2 -5"
          fill="none"
          stroke="var(--lichen)"
          strokeWidth="1"
          opacity="0.7"
        />
      </pattern>
    </defs>
  )
}

/** A stand where it stands, or a little aside with a line to it. */
function StandAt({
  s,
  state,
  onChoose,
  drawing,
  at: [x, y],
  truly: [trueX, trueY],
  chosen,
  W,
  waiting,
}: {
  s: Stand
  state: keyof typeof MARK
  onChoose: (id: string | undefined) => void
  /** While a line is drawn over it nothing of it can be pressed. */
  drawing: boolean
  at: [number, number]
  truly: [number, number]
  chosen: string | undefined
  W: number
  /** Whether somebody means to come back. */
  waiting: boolean
}) {
  return (
    <Link
      to={`/field/stands/${s.id}`}
      aria-label={`${s.name}: ${MARK[state]}, ${s.commonName}${waiting ? ', to come back to' : ''}`}
      onMouseEnter={() => onChoose(s.id)}
      onMouseLeave={() => onChoose(undefined)}
      onFocus={() => onChoose(s.id)}
      onBlur={() => onChoose(undefined)}
      tabIndex={drawing ? -1 : undefined}
      style={drawing ? { pointerEvents: 'none' } : undefined}
    >
      {Math.hypot(x - trueX, y - trueY) > 4 && (
        <path d={`M${trueX} ${trueY}L${x} ${y}`} stroke="var(--soft)" strokeWidth="1.5" aria-hidden />
      )}
      <g transform={`translate(${x} ${y})`}>
        <circle r="22" fill="transparent" />
        {chosen === s.id && <circle r="20" fill="none" stroke="var(--ink)" strokeWidth="2.5" />}
        <Mark state={state} size={SIZE[s.plenty]} />
        {waiting && <ToComeBack />}
        {chosen === s.id && (
          <text
            y={y < 60 ? 38 : -26}
            textAnchor={x < 150 ? 'start' : x > W - 150 ? 'end' : 'middle'}
            fontSize="20"
            fontWeight="600"
            fill="var(--ink)"
            style={{ paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 5 }}
          >
            {s.name}: {MARK[state]}
          </text>
        )}
      </g>
    </Link>
  )
}

/** A knot in a string, at the side of whatever somebody means to come back to. */
function ToComeBack() {
  return (
    <path
      d="M9 -15c6 -6 12 2 5 5c-7 3 -3 10 4 6"
      fill="none"
      stroke="var(--madder)"
      strokeWidth="2.5"
      aria-hidden
    />
  )
}

/** Where each stand and each slip truly is, and where its mark has room. */
function placedOn(paper: ReturnType<typeof onPaper>, stands: Stand[], notes: Note[], W: number, H: number) {
  const there = stands.flatMap((stand) =>
    stand.latitude == null || stand.longitude == null
      ? []
      : [{ stand, true: paper.to([stand.longitude, stand.latitude]) }],
  )
  const written = notes.flatMap((note) =>
    note.latitude == null || note.longitude == null
      ? []
      : [{ note, true: paper.to([note.longitude, note.latitude]) }],
  )
  const spread = apart(
    [...there, ...written].map((t) => t.true),
    APART,
    W,
    H,
  )
  return {
    placed: there.map((t, i) => ({ ...t, at: spread[i] ?? t.true })),
    slips: written.map((t, i) => ({ ...t, at: spread[there.length + i] ?? t.true })),
  }
}

/** A folded slip of paper: something was written down here, where no stand is. */
function NoteAt({ note, at: [x, y], drawing }: { note: Note; at: [number, number]; drawing: boolean }) {
  return (
    <Link
      to={`/notes/${note.id}`}
      aria-label={`Note: ${note.words || note.place || 'a picture'}${note.comeBack && !note.beenBackOn ? ', to come back to' : ''}`}
      tabIndex={drawing ? -1 : undefined}
      style={drawing ? { pointerEvents: 'none' } : undefined}
    >
      <g transform={`translate(${x} ${y})`}>
        <circle r="22" fill="transparent" />
        <path d={SLIP} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.6" />
        {note.comeBack && !note.beenBackOn && <ToComeBack />}
      </g>
    </Link>
  )
}

const SLIP = 'M-8 -10H5L9 -6V10H-8ZM5 -10V-6H9M-4 -2H5M-4 3H5'

/** The middle of its northern edge, where a name covers least. */
function top(s: Shape): Point {
  const mean = s.points.reduce((sum, p) => sum + (p[0] ?? 0), 0) / s.points.length
  return [mean, Math.max(...s.points.map((p) => p[1] ?? -90))]
}

function middle(s: Shape): Point {
  return (s.points[Math.floor(s.points.length / 2)] ?? [0, 0]) as Point
}

/** What the marks mean, beside the map. */
function Legend() {
  return (
    <ul className="mt-1 flex flex-wrap gap-x-4 gap-y-1 text-sm">
      {LEGEND.map((s) => (
        <li key={s} className="flex items-center gap-1">
          <svg viewBox="-14 -14 28 28" className="size-5" aria-hidden>
            <Mark state={s} size={10} />
          </svg>
          {MARK[s]}
        </li>
      ))}
      <li className="flex items-center gap-1">
        <svg viewBox="-14 -14 28 28" className="size-5" aria-hidden>
          <path d={SLIP} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.6" />
        </svg>
        a note
      </li>
      <li className="flex items-center gap-1">
        <svg viewBox="2 -22 20 28" className="size-5" aria-hidden>
          <ToComeBack />
        </svg>
        to come back to
      </li>
      <li className="text-soft">the larger, the more there is</li>
    </ul>
  )
}

/** The map on the field's page, with the list beside it: what one chooses the other marks. */
export function GroundSection({
  chosen,
  onChoose,
}: {
  chosen: string | undefined
  onChoose: (id?: string) => void
}) {
  const ground = useGround()
  const stands = useStands()
  const season = useSeason()
  const out = useOutThere()
  const notes = out.data?.placed ?? []
  const all = stands.data ?? []
  const bounds = boundsOf(ground.data ?? [], [...all, ...notes])
  return (
    <Section title="The ground">
      {bounds ? (
        <>
          <GroundMap
            shapes={ground.data ?? []}
            stands={all}
            season={season.data}
            bounds={bounds}
            chosen={chosen}
            onChoose={onChoose}
            notes={notes}
            waiting={(out.data?.waiting ?? []).flatMap((n) =>
              n.about === 'STAND' && n.thing ? [n.thing.id] : [],
            )}
          />
          <Legend />
        </>
      ) : (
        ground.isSuccess && (
          <p className="text-soft">
            Nothing is on the map. Give your stands their latitude and longitude, draw the ground, or read a
            file in.
          </p>
        )
      )}
      <p className="mt-1 flex flex-wrap gap-x-4">
        <Link className="underline" to="/field/ground">
          Draw on the map
        </Link>
        <a className="underline" href="/api/field/ground/stands.gpx" download>
          Stands as GPX
        </a>
        <a className="underline" href="/api/field/ground/ground.geojson" download>
          All of it as GeoJSON
        </a>
        {all.some((s) => s.latitude == null) && bounds && (
          <span className="text-soft">
            {figure(all.filter((s) => s.latitude == null).length)} stands have no position and are only in the
            list.
          </span>
        )}
      </p>
    </Section>
  )
}

/** Draws the ground: lines and outlines by hand, by arrow keys, or from a file. */
export function GroundPage() {
  const ground = useGround()
  const stands = useStands()
  const season = useSeason()
  const [kind, setKind] = useState<Kind>('PATH')
  const [name, setName] = useState('')
  const [points, setPoints] = useState<Point[]>([])
  const [id, setId] = useState(() => v7())
  const shapes = ground.data ?? []
  const all = stands.data ?? []
  const [first, setFirst] = useState({ latitude: '', longitude: '' })
  const [latitude, longitude] = [degreesOf(first.latitude), degreesOf(first.longitude)]
  const around: Bounds | undefined =
    latitude !== undefined &&
    longitude !== undefined &&
    Math.abs(latitude) <= 66 &&
    Math.abs(longitude) <= 180
      ? { west: longitude - 0.02, east: longitude + 0.02, south: latitude - 0.01, north: latitude + 0.01 }
      : undefined
  const found = boundsOf(shapes, all)
  const bounds = found ?? around
  const save = useCommand(['ground'], {
    mutationFn: () =>
      ask(api.POST('/api/field/ground', { body: { id, kind, name, points: points as number[][] } })),
    onSuccess: async () => {
      setPoints([])
      setName('')
      setId(v7())
    },
  })
  const remove = useCommand(['ground'], {
    mutationFn: (s: Shape) =>
      ask(
        api.DELETE('/api/field/ground/{id}', { params: { path: { id: s.id }, header: ifMatch(s.version) } }),
      ),
  })
  const least = AREAS.includes(kind) ? 3 : 2
  return (
    <Page title="The ground">
      <div className="grid gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,1.2fr)]">
        <Loaded query={ground}>
          {() => (
            <div>
              {bounds ? (
                <GroundMap
                  shapes={shapes}
                  stands={all}
                  season={season.data}
                  bounds={bounds}
                  chosen={undefined}
                  onChoose={() => undefined}
                  drawing={{ kind, points }}
                  onPoint={(p) => setPoints([...points, p])}
                />
              ) : (
                <p>Say about where you are, and a sheet is laid out to draw on.</p>
              )}
              {!found && (
                <div className="mt-2 grid max-w-md grid-cols-2 gap-3">
                  <Input
                    label="Latitude of the middle"
                    inputMode="decimal"
                    value={first.latitude}
                    onChange={(e) => setFirst({ ...first, latitude: e.target.value })}
                  />
                  <Input
                    label="Longitude of the middle"
                    inputMode="decimal"
                    value={first.longitude}
                    onChange={(e) => setFirst({ ...first, longitude: e.target.value })}
                  />
                </div>
              )}
            </div>
          )}
        </Loaded>
        <div className="space-y-4">
          <Only deed="record">
            <Draw
              kind={kind}
              setKind={setKind}
              name={name}
              setName={setName}
              points={points}
              least={least}
              save={save}
              setPoints={setPoints}
            />
            <FromAFile />
          </Only>
          <Observations />
          <OnTheMap remove={remove} shapes={shapes} />
        </div>
      </div>
    </Page>
  )
}

/** Lines and areas that are on a map already. */
function FromAFile() {
  const read = useCommand(['ground'], {
    mutationFn: async (file: File) =>
      ask(
        api.POST('/api/field/ground/file', {
          body: await file.text(),
          bodySerializer: (text: string) => text,
          headers: { 'Content-Type': 'text/plain' },
        }),
      ),
  })
  return (
    <Section title="From a file">
      <FileInput
        label="GPX, KML or GeoJSON"
        accept=".gpx,.kml,.geojson,.json"
        onFile={(file) => read.mutate(file)}
      />
      <ProblemNotice error={read.error} />
      {read.data && (
        <p role="status">
          {read.data.read} drawn
          {read.data.left > 0 && `, ${read.data.left} left out: points, or on the map already`}.
        </p>
      )}
      <Only deed="keep">
        <p className="text-soft text-sm">
          Its points become stands under{' '}
          <Link className="underline" to="/archive/lists">
            Read a list in
          </Link>
          .
        </p>
      </Only>
    </Section>
  )
}

type Places = 'EXACT' | 'KILOMETRE' | 'TEN_KILOMETRES' | 'NONE'
const PLACES: { value: Places; label: string }[] = [
  { value: 'KILOMETRE', label: 'to about a kilometre' },
  { value: 'TEN_KILOMETRES', label: 'to about ten kilometres' },
  { value: 'EXACT', label: 'as they are' },
  { value: 'NONE', label: 'not at all' },
]

/** For whoever collects what grows where. */
function Observations() {
  const [places, setPlaces] = useState<Places>('KILOMETRE')
  const [names, setNames] = useState(false)
  return (
    <Section title="For a collection of observations">
      <p className="text-soft mb-2 text-sm">
        Every stand whose plant is certain, as a Darwin Core archive. Where protected plants grow is never
        given along.
      </p>
      <Choose label="Places are given" value={places} choices={PLACES} onChange={setPlaces} />
      <Toggle label="With the names of who looked" checked={names} onChange={setNames} />
      <a
        className="text-note underline"
        href={`/api/field/ground/observations.zip?places=${places}&names=${names}`}
        download
      >
        Observations as a file
      </a>
    </Section>
  )
}

/** Point by point on the map. */
function Draw({
  kind,
  setKind,
  name,
  setName,
  points,
  least,
  save,
  setPoints,
}: {
  kind: Kind
  setKind: (kind: Kind) => void
  name: string
  setName: (name: string) => void
  points: Point[]
  least: number
  save: Sent
  setPoints: (points: Point[]) => void
}) {
  return (
    <Section title="Draw">
      <div className="space-y-2">
        <Choose label="What" value={kind} choices={KINDS} onChange={setKind} />
        <Input label="Name, if it has one" value={name} onChange={(e) => setName(e.target.value)} />
        <p className="text-soft text-sm" role="status">
          {points.length === 0
            ? 'Tap the map where it begins, then along it. By keyboard: the arrows move the cross, with Shift faster; Enter sets a point.'
            : `${points.length} points; it takes ${least} at least.`}
        </p>
        <ProblemNotice error={save.error} />
        <div className="flex flex-wrap gap-2">
          <Button
            kind="main"
            disabled={points.length < least || save.isPending}
            onClick={() => save.mutate()}
          >
            Keep it
          </Button>
          <Button disabled={points.length === 0} onClick={() => setPoints(points.slice(0, -1))}>
            Take the last point back
          </Button>
        </div>
      </div>
    </Section>
  )
}

/** What is drawn, and rubbing it out. */
function OnTheMap({ remove, shapes }: { remove: Sent<Shape>; shapes: Shape[] }) {
  return (
    <Section title="On the map">
      <ProblemNotice error={remove.error} />
      <ul>
        {shapes.map((s) => (
          <li key={s.id} className="border-line flex items-center justify-between gap-2 border-b py-1">
            <span>
              {s.name || 'no name'} <span className="text-soft text-sm">{OUTLINE[s.kind]}</span>
            </span>
            <Only deed="record">
              <button
                type="button"
                className="text-soft min-h-8 text-sm underline"
                aria-label={`Rub out ${s.name || OUTLINE[s.kind]}`}
                onClick={() => remove.mutate(s)}
              >
                rub out
              </button>
            </Only>
          </li>
        ))}
      </ul>
    </Section>
  )
}
