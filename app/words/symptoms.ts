import { symptomLabels } from '../../contracts/words'

export { symptomLabels }

export type SymptomId = (typeof symptomLabels)[number]['id']

export const symptomLabel = (id: string): string => symptomLabels.find(symptom => symptom.id === id)?.label ?? id
