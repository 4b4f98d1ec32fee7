/** A copy with one id set at a path as the server names fields: `herbs[0].lotId`; what was described there is dropped. */
export function setPath<T extends object>(body: T, path: string, id: string): T {
  const [head = '', ...rest] = path.split('.')
  const match = /^(\w+)\[(\d+)\]$/.exec(head)
  const key = (match?.[1] ?? head) as keyof T
  const inner = (value: object): object => {
    if (rest.length === 1 && rest[0] === 'lotId') {
      const kept = Object.fromEntries(
        Object.entries(value).filter(([k, v]) => (k === 'massG' || k === 'measure') && v !== undefined),
      )
      return { ...kept, lotId: id }
    }
    return setPath(value, rest.join('.'), id)
  }
  const old = body[key]
  if (match) {
    const list = old as unknown as object[]
    return { ...body, [key]: list.map((v, i) => (i === Number(match[2]) ? inner(v) : v)) }
  }
  return { ...body, [key]: inner(old as unknown as object) }
}
