/** Who may do a step together: one who knows how, and anybody to make up the least crew. */
import { expect, it } from 'vitest'
import { crewsByClass, teamOf } from './crews'

const people = [{ skills: ['rigging'] }, { skills: [] }, { skills: ['rigging'] }] as const
const team = (skill: 'rigging' | 'general' | 'aloft', crewMin: number) =>
  teamOf({ skill, crewMin }, people as never)

it('of a skill are those who have it, and beside one of them anybody where several are wanted', () => {
  expect(team('rigging', 1)).toEqual({ capable: [0, 2], hands: [0, 2] })
  expect(team('rigging', 2)).toEqual({ capable: [0, 2], hands: [0, 1, 2] })
  expect(team('general', 1)).toEqual({ capable: [0, 1, 2], hands: [0, 1, 2] })
  expect(team('aloft', 2)).toEqual({ capable: [], hands: [] })
})

it('are never without the skill, and more than the least all have it', () => {
  const crews = (capable: number[], hands: number[], crewMin: number, crewMax: number) =>
    crewsByClass()({ capable, hands, wanted: null, crewMin, crewMax })
  expect(crews([0], [0, 1, 2], 2, 3)).toEqual([
    [0, 1],
    [0, 2],
  ])
  expect(crews([0, 2], [0, 1, 2], 2, 3)).toEqual([
    [0, 2],
    [0, 1],
    [1, 2],
  ])
  expect(crews([0, 2, 3], [0, 1, 2, 3], 2, 3)).toEqual([
    [0, 2],
    [0, 3],
    [2, 3],
    [0, 1],
    [1, 2],
    [1, 3],
    [0, 2, 3],
  ])
  expect(crews([0, 2], [0, 2], 1, 2)).toEqual([[0], [2], [0, 2]])
  const kept = { capable: [0, 2], hands: [0, 1, 2], wanted: 2, crewMin: 2, crewMax: 2 }
  expect(crewsByClass()(kept)).toEqual([
    [2, 0],
    [2, 1],
  ])
})
