/** The demo data: the agency Purlin & Daughters and its clients. */
@NullMarked
package goodbones.server.demo;

import org.jspecify.annotations.NullMarked;
