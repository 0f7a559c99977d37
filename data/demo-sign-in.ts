/** How everybody of the demo kitchen signs in: said on its sign-in page and where it was started. No secret. */
export const DEMO_SIGN_IN = { password: "kelder-pass", pin: "1180" } as const;
