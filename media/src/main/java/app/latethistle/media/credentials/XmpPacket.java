package app.latethistle.media.credentials;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;

/**
 * Says in a file that its pictures were generated: an XMP packet (ISO 16684-1) with the IPTC's
 * digital source type (IPTC Photo Metadata Standard; vocabulary {@code digitalsourcetype}).
 */
final class XmpPacket {
  private static final String PACKET =
      """
      <?xpacket begin="\uFEFF" id="W5M0MpCehiHzreSzNTczkc9d"?>
      <x:xmpmeta xmlns:x="adobe:ns:meta/">
       <rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
        <rdf:Description rdf:about=""
          xmlns:Iptc4xmpExt="http://iptc.org/std/Iptc4xmpExt/2008-02-29/"
          Iptc4xmpExt:DigitalSourceType="SOURCE"/>
       </rdf:RDF>
      </x:xmpmeta>
      <?xpacket end="r"?>""";

  private static final String IN_JPEG = "http://ns.adobe.com/xap/1.0/\0";

  /** By which an XMP packet is known in a file of boxes (ISO 16684-3, table 9). */
  private static final byte[] IN_BOX = HexFormat.of().parseHex("be7acfcb97a942e89c71999491e3afac");

  private XmpPacket() {}

  private static byte[] packet() {
    return PACKET.replace("SOURCE", Manifest.SOURCE).getBytes(StandardCharsets.UTF_8);
  }

  /** A JPEG that says so, in an APP1 segment after its start. */
  static byte[] inJpeg(byte[] jpeg) {
    byte[] head = IN_JPEG.getBytes(StandardCharsets.ISO_8859_1);
    byte[] packet = packet();
    ByteBuffer segment = ByteBuffer.allocate(4 + head.length + packet.length);
    segment.putShort((short) 0xffe1).putShort((short) (2 + head.length + packet.length));
    segment.put(head).put(packet);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, 2);
    out.writeBytes(segment.array());
    out.write(jpeg, 2, jpeg.length - 2);
    return out.toByteArray();
  }

  /** As the box by which an MP4 or MOV says so. */
  static byte[] box() {
    ByteArrayOutputStream content = new ByteArrayOutputStream();
    content.writeBytes(IN_BOX);
    content.writeBytes(packet());
    return Jumbf.box("uuid", content.toByteArray());
  }
}
