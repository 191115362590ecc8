import { createContext, type ReactNode } from 'react'

/**
 * Stands in the place of the library of forms that the controls bring along, with its checks of fields: no form of that
 * library is used here, and 13 kB of each page would be it. Whoever uses one is told at once.
 */
const none = (): never => {
  throw new Error('The forms of the library are not here: see src/ui/no-form.ts.')
}
export const FormProvider = ({ children }: { children?: ReactNode }): ReactNode => children
export const FieldContext = createContext({})
export const ListContext = createContext(null)
export const List = none
export const Field = none
export const useForm = none
export const useWatch = none
export default none
