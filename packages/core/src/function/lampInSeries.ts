const lampLaw = 0.55

/**
 * A lamp in series with a coil across a supply (METHODS 7): lamp law I = I₀·(V/V₀)^0.55, direct current. Sane from about 5 to
 * 120 % of the lamp's volts; below 2 % the filament is cold and only amps and coilVolts mean anything.
 * @param input supply volts, coil ohms, the lamp's rated volts and watts
 * @returns amperes, volts across coil and lamp, and the lamp's share of its rated power; all 0 without volts
 * @example
 * lampInSeries({ volts: 24, coilOhms: 8, lampVolts: 24, lampWatts: 21 }).amps // 0.74742
 */
export function lampInSeries(input: { volts: number; coilOhms: number; lampVolts: number; lampWatts: number }): {
  amps: number
  coilVolts: number
  lampVoltsAcross: number
  lampPowerFraction: number
} {
  const { volts, coilOhms, lampVolts, lampWatts } = input
  const rated = lampWatts / lampVolts
  const ampsAt = (lamp: number) => rated * (lamp / lampVolts) ** lampLaw
  let [low, high] = [0, Math.max(0, volts)]
  for (let i = 0; i < 200 && high - low > 1e-15 * high; i++) {
    const middle = (low + high) / 2
    if (middle + ampsAt(middle) * coilOhms > volts) high = middle
    else low = middle
  }
  const lampVoltsAcross = (low + high) / 2
  const amps = ampsAt(lampVoltsAcross)
  return {
    amps,
    coilVolts: volts - lampVoltsAcross,
    lampVoltsAcross,
    lampPowerFraction: (amps * lampVoltsAcross) / lampWatts,
  }
}
