/** What is made with water: teas, washes, syrups, ice cubes. */
@NullMarked
package org.sallowbrook.server.making.tea;

import org.jspecify.annotations.NullMarked;
