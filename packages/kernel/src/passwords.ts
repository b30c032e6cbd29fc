/** How short a new password may be. NIST SP 800-63B wants eight characters, OWASP ASVS 4.0.3 (2.1.1) twelve. */
export const SHORTEST_PASSWORD = 12;
/** How long (2.1.2). */
export const LONGEST_PASSWORD = 128;
