/**
 * The film on screen: still frames for scrubbing, and HLS (RFC 8216) with segments rendered when
 * they are asked for, kept by hash, and rendered one ahead of the playhead.
 */
package app.latethistle.server.preview;
