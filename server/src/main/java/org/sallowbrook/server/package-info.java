/** The server: keeps, guards, serves. Every room below has the name of its room in core. */
@NullMarked
package org.sallowbrook.server;

import org.jspecify.annotations.NullMarked;
