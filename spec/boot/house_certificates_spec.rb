# frozen_string_literal: true

require "tmpdir"
require_relative "../../boot/house_certificates"

RSpec.describe NutShelf::Boot::HouseCertificates do
  machine = described_class::Machine.new(name: "pantry", addresses: ["192.168.1.20", "fd00::20"])
  start = Time.utc(2026, 11, 24)

  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  def certificates(machine:, now:) = described_class.new(folder: @folder, machine: machine, now: now).ready

  def server = OpenSSL::X509::Certificate.new(File.read(File.join(@folder, "server.pem")))

  def trusted?(authority, certificate, now)
    store = OpenSSL::X509::Store.new.tap { |one| one.add_cert(authority) && one.time = now }
    store.verify(certificate)
  end

  it "makes an authority once, and a certificate for the machine that whoever trusts it believes" do
    made = certificates(machine: machine, now: start)
    expect(trusted?(made.authority, server, start)).to be true
    %w[pantry.local 192.168.1.20 fd00::20].each do |host|
      expect([host, OpenSSL::SSL.verify_certificate_identity(server, host)]).to eq([host, true])
    end
    print = made.fingerprint
    expect(print).to match(/\A(\h\h:){31}\h\h\z/)
    expect(certificates(machine: machine, now: start + 86_400).fingerprint).to eq(print)
  end

  it "keeps its keys to their owner" do
    certificates(machine: machine, now: start)
    modes = %w[authority.key server.key].map { |name| File.stat(File.join(@folder, name)).mode & 0o777 }
    expect(modes).to all(eq(0o600))
  end

  it "renews by itself before it runs out, and when the addresses change, by the same authority" do
    made = certificates(machine: machine, now: start)
    first = server.serial
    certificates(machine: machine, now: start + (336 * 86_400))
    expect(server.serial).to eq(first)
    certificates(machine: machine, now: start + (338 * 86_400))
    second = server.serial
    expect(second).not_to eq(first)
    moved = machine.with(addresses: ["192.168.1.33"])
    again = certificates(machine: moved, now: start + (338 * 86_400))
    expect(OpenSSL::SSL.verify_certificate_identity(server, "192.168.1.33")).to be true
    expect([server.serial == second, again.fingerprint]).to eq([false, made.fingerprint])
  end

  it "can vouch for home networks alone" do
    made = certificates(machine: machine, now: start)
    elsewhere = machine.with(addresses: ["203.0.113.9"])
    certificates(machine: elsewhere, now: start)
    expect(trusted?(made.authority, server, start)).to be false
    names = Struct.new(:name, :names, :addresses).new("bank", ["bank.example"], [])
    described_class.new(folder: @folder, machine: names, now: start).ready
    expect(trusted?(made.authority, server, start)).to be false
  end
end
