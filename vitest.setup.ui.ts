import { configure } from "@testing-library/react";

// Not how fast it must be: how long a busy machine may take before what is waited for counts as missing.
configure({ asyncUtilTimeout: 20_000 });
