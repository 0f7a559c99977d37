import { customType } from "drizzle-orm/mysql-core";

/** A JSON document. MariaDB keeps JSON as checked text, which the driver may hand back as a string. */
export const json = <T>() =>
  customType<{ data: T; driverData: string }>({
    dataType: () => "json",
    toDriver: value => JSON.stringify(value),
    fromDriver: value => (typeof value === "string" ? JSON.parse(value) : value) as T,
  });

/** A small file, up to 16 MB. */
export const mediumBlob = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => "mediumblob" });
