export { type SaltProjection, projectSalt, saltDose } from "./salt";
