package yewberry.server;
import org.springframework.boot.autoconfigure.SpringBootApplication;
@SpringBootApplication
public class YewberryApplication { public static void main(String[] a){ org.springframework.boot.SpringApplication.run(YewberryApplication.class,a);} }
