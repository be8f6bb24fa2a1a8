package app.latethistle.media.credentials;

import app.latethistle.media.ContentStore;
import com.authlete.cbor.CBORTaggedItem;
import com.authlete.cose.COSEException;
import com.authlete.cose.COSEProtectedHeader;
import com.authlete.cose.COSEProtectedHeaderBuilder;
import com.authlete.cose.COSESign1;
import com.authlete.cose.COSESign1Builder;
import com.authlete.cose.COSESigner;
import com.authlete.cose.COSEUnprotectedHeaderBuilder;
import com.authlete.cose.SigStructureBuilder;
import com.authlete.cose.constants.COSEAlgorithms;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.CertificateEncodingException;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/**
 * A key made on this machine, with the certificate that goes with what it signs (ECDSA on P-256
 * with SHA-256). Nobody else vouches for it: a reader sees that a file is as it left, and not who
 * made it.
 */
final class SigningKey {
  private static final String ALGORITHM = "SHA256withECDSA";

  private static final String NAME = "signing";

  /** A key store needs one; who may read the file has the key. */
  private static final char[] PASSWORD = NAME.toCharArray();

  private static final X500Name ROOT = new X500Name("O=Late Thistle, CN=This installation");

  private static final X500Name LEAF =
      new X500Name("O=Late Thistle, CN=Films of this installation");

  /** The tag of a COSE_Sign1 (RFC 9052, table 1). */
  private static final int COSE_SIGN1 = 18;

  private static final Duration VALID = Duration.ofDays(3650);

  private final PrivateKey key;
  private final X509Certificate certificate;

  private SigningKey(PrivateKey key, X509Certificate certificate) {
    this.key = key;
    this.certificate = certificate;
  }

  /** The one kept in a folder, made if there is none. */
  static synchronized SigningKey keptIn(Path folder) throws IOException {
    Path file = folder.resolve(NAME + ".p12");
    try {
      KeyStore kept = KeyStore.getInstance("PKCS12");
      if (Files.exists(file)) {
        try (InputStream in = Files.newInputStream(file)) {
          kept.load(in, PASSWORD);
        }
        return new SigningKey(
            (PrivateKey) kept.getKey(NAME, PASSWORD), (X509Certificate) kept.getCertificate(NAME));
      }
      SigningKey made = make();
      kept.load(null, PASSWORD);
      kept.setKeyEntry(NAME, made.key, PASSWORD, new Certificate[] {made.certificate});
      keep(kept, file);
      return made;
    } catch (GeneralSecurityException | OperatorCreationException e) {
      throw new IOException("The key that signs films cannot be used: " + file, e);
    }
  }

  private static void keep(KeyStore store, Path file) throws IOException, GeneralSecurityException {
    Path part = ContentStore.partOf(file);
    Files.createFile(
        part, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
    try (OutputStream out = Files.newOutputStream(part)) {
      store.store(out, PASSWORD);
    }
    ContentStore.moveInto(part, file);
  }

  /**
   * A certificate may not vouch for itself: a key that is then forgotten does. Its purpose is one
   * of those that the C2PA's specification names (section 14.4, "validating the EKU").
   */
  private static SigningKey make()
      throws GeneralSecurityException, IOException, OperatorCreationException {
    KeyPairGenerator pairs = KeyPairGenerator.getInstance("EC");
    pairs.initialize(new ECGenParameterSpec("secp256r1"));
    KeyPair root = pairs.generateKeyPair();
    KeyPair leaf = pairs.generateKeyPair();
    Instant now = Instant.now();
    JcaX509ExtensionUtils ids = new JcaX509ExtensionUtils();
    X509v3CertificateBuilder builder =
        new JcaX509v3CertificateBuilder(
                ROOT,
                new BigInteger(64, new SecureRandom()).setBit(64),
                Date.from(now.minus(Duration.ofDays(1))),
                Date.from(now.plus(VALID)),
                LEAF,
                leaf.getPublic())
            .addExtension(Extension.basicConstraints, true, new BasicConstraints(false))
            .addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature))
            .addExtension(
                Extension.extendedKeyUsage,
                true,
                new ExtendedKeyUsage(KeyPurposeId.id_kp_emailProtection))
            .addExtension(
                Extension.authorityKeyIdentifier,
                false,
                ids.createAuthorityKeyIdentifier(root.getPublic()))
            .addExtension(
                Extension.subjectKeyIdentifier,
                false,
                ids.createSubjectKeyIdentifier(leaf.getPublic()));
    X509Certificate certificate =
        new JcaX509CertificateConverter()
            .getCertificate(
                builder.build(new JcaContentSignerBuilder(ALGORITHM).build(root.getPrivate())));
    return new SigningKey(leaf.getPrivate(), certificate);
  }

  X509Certificate certificate() {
    return certificate;
  }

  /** A COSE_Sign1 (RFC 9052) over a claim that is not repeated in it. */
  byte[] sign(byte[] claim) {
    try {
      COSEProtectedHeader header =
          new COSEProtectedHeaderBuilder()
              .alg(COSEAlgorithms.ES256)
              .x5chain(List.of(certificate))
              .build();
      byte[] signature =
          new COSESigner(key)
              .sign(
                  new SigStructureBuilder()
                      .signature1()
                      .bodyAttributes(header)
                      .payload(claim)
                      .build(),
                  COSEAlgorithms.ES256);
      COSESign1 signed =
          new COSESign1Builder()
              .protectedHeader(header)
              .unprotectedHeader(new COSEUnprotectedHeaderBuilder().build())
              .signature(signature)
              .build();
      return new CBORTaggedItem(COSE_SIGN1, signed).encode();
    } catch (COSEException | CertificateEncodingException e) {
      throw new IllegalStateException(e);
    }
  }
}
