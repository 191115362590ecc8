export { ofFile, openPackage, packReview } from '@/core/review'
