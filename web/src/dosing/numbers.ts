/**
 * The numbers to call, kept on this device so that they stand where they are needed also when nobody is signed in. They are
 * nobody's records, and stay when somebody signs out.
 */
export interface Numbers {
  emergencyNumber: string
  poisonCentre: string
}

const KEY = 'sallowbrook.numbers'

export function keptNumbers(): Numbers {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Numbers>
    return { emergencyNumber: kept.emergencyNumber ?? '', poisonCentre: kept.poisonCentre ?? '' }
  } catch {
    return { emergencyNumber: '', poisonCentre: '' }
  }
}

export function keepNumbers({ emergencyNumber, poisonCentre }: Numbers) {
  try {
    localStorage.setItem(KEY, JSON.stringify({ emergencyNumber, poisonCentre }))
  } catch {
    // A full device keeps what it had; the numbers are on the page all the same.
  }
}
