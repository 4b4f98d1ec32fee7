import { BUD_COLOURS } from './Close'
import { GROUND, place, type Characters } from './states'

const ink = { stroke: 'currentColor', strokeLinejoin: 'round', strokeLinecap: 'round', fill: 'none' } as const

/** Needles and scales along a twig. */
export function NeedleTwig({ c }: { c: Characters }) {
  const fill = 'var(--lichen)'
  const rows = Array.from({ length: 13 }, (_, i) => GROUND - 12 - i * 9)
  return (
    <>
      <path d={`M0 ${GROUND}V66`} {...ink} strokeWidth={3} />
      {rows.map((y, i) => {
        switch (c['needle-stand']) {
          case 'threes':
            return [-62, 62, i % 2 ? 20 : -20].map((t) => <path key={`${y}${t}`} transform={place(0, y, t)} d="M-1.6 0L0 -26L1.6 0Z" fill={fill} stroke="currentColor" strokeWidth={0.7} />) // prettier-ignore
          case 'pairs':
            return i % 2 ? null : [-1, 1].flatMap((s) => [-7, 7].map((d) => <path key={`${y}${s}${d}`} transform={place(0, y, s * 42 + d)} d="M-1 0L-0.6 -46L0.6 -46L1 0Z" fill={fill} stroke="currentColor" strokeWidth={0.6} />)) // prettier-ignore
          case 'two-rows':
            return [-78, 78].map((t) => <path key={`${y}${t}`} transform={place(0, y, t)} d="M-1.8 0L-1.8 -22L0 -26L1.8 -22L1.8 0Z" fill={fill} stroke="currentColor" strokeWidth={0.7} />) // prettier-ignore
          default:
            return (
              <g key={y}>
                {[-1, 1].map((s) => (
                  <path
                    key={s}
                    d={`M0 ${y}Q${s * 7} ${y - 2} ${s * 4} ${y - 9}Q0 ${y - 8} 0 ${y}Z`}
                    fill={fill}
                    stroke="currentColor"
                    strokeWidth={0.7}
                  />
                ))}
                {i % 3 === 1 &&
                  [-1, 1].map((s) => (
                    <path
                      key={`t${s}`}
                      d={`M0 ${y}Q${s * 20} ${y - 10} ${s * 26} ${y - 30}`}
                      stroke={fill}
                      strokeWidth={5}
                      strokeDasharray="4 1.4"
                      fill="none"
                    />
                  ))}
              </g>
            )
        }
      })}
    </>
  )
}

/** A twig without leaves, or what the winter left of a herb. */
export function WinterTwig({ c }: { c: Characters }) {
  if (c['twig'] === 'none' || c['twig'] === undefined) {
    const remains = c['winter-remains']
    if (remains === undefined || remains === 'nothing') return null
    return (
      <>
        <path d={`M0 ${GROUND}V90`} {...ink} strokeWidth={2} strokeDasharray="9 2" />
        {[-30, 0, 30].map((t) => (
          <path
            key={t}
            transform={place(0, 96, t)}
            d="M0 0V-30M-5 -30H5M-3 -36H3"
            {...ink}
            strokeWidth={1.2}
          />
        ))}
      </>
    )
  }
  const colour = BUD_COLOURS[c['bud-colour'] ?? ''] ?? '#7a5a38'
  const bud = c['bud-cover'] === 'naked' ? 'M0 0L-4 -9L-1 -14L1 -14L4 -9Z' : c['bud-cover'] === 'one-scale' ? 'M0 0C-4 -3 -3 -12 0 -14C3 -12 4 -3 0 0Z' : 'M0 0C-6 -3 -5 -10 0 -14C5 -10 6 -3 0 0Z' // prettier-ignore
  const tip = c['buds'] === 'clustered' ? [-32, 32, 0] : [0]
  return (
    <>
      <path d={`M0 ${GROUND}V60`} {...ink} strokeWidth={4} stroke="#7a6a4f" />
      {c['twig'] === 'dark-spotted' &&
        [180, 160, 140, 120, 100, 80].map((y) => (
          <path key={y} d={`M-1.5 ${y}h3`} stroke="#f1efe6" strokeWidth={1.4} />
        ))}
      {[170, 140, 110, 80].flatMap((y, i) =>
        (c['buds'] === 'opposite' ? [-38, 38] : [i % 2 ? -38 : 38]).map((t) => (
          <path
            key={`${y}${t}`}
            transform={place(t > 0 ? 2 : -2, y, t)}
            d={bud}
            fill={colour}
            stroke="currentColor"
          />
        )),
      )}
      {tip.map((t) => (
        <path key={t} transform={place(0, 60, t)} d={bud} fill={colour} stroke="currentColor" />
      ))}
    </>
  )
}
