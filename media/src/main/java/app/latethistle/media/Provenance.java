package app.latethistle.media;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HexFormat;

/**
 * Says in a file that its pictures were generated: an XMP packet (ISO 16684-1) with the IPTC's
 * digital source type (IPTC Photo Metadata Standard; vocabulary {@code digitalsourcetype}).
 */
public final class Provenance {
  /** What is made of generated pictures by cutting, grading and laying over. */
  private static final String SOURCE =
      "http://cv.iptc.org/newscodes/digitalsourcetype/compositeWithTrainedAlgorithmicMedia";

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

  private Provenance() {}

  private static byte[] packet() {
    return PACKET.replace("SOURCE", SOURCE).getBytes(StandardCharsets.UTF_8);
  }

  /** A JPEG that says so, in an APP1 segment after its start. */
  public static byte[] inJpeg(byte[] jpeg) {
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

  /** Lets a MOV or MP4 say so, in a box behind all others, which moves none of them. */
  public static void append(Path file) throws IOException {
    byte[] packet = packet();
    ByteBuffer box = ByteBuffer.allocate(24 + packet.length);
    box.putInt(box.capacity()).put("uuid".getBytes(StandardCharsets.ISO_8859_1));
    box.put(IN_BOX).put(packet);
    Files.write(file, box.array(), StandardOpenOption.APPEND);
  }
}
